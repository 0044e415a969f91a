import { type CutSetting, type CutStep, cutSteps, type Sheet as LaidSheet } from '@parlor/core/cut';
import { showLength, type Units } from '@parlor/core/measure';
import { StepBack, StepForward } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { useSet } from '../../state/index.ts';
import { Button, cx, Sheet, useArrows } from '../../ui/index.ts';
import { CutTable, isShaped, partsOf } from './CutTable.tsx';
import type { Parts } from './SheetTable.tsx';

const NO_TRIM = { left: 0, right: 0, bottom: 0, top: 0 };

type Becomes = Pick<CutStep['off'], 'becomes' | 'part'>;

const becomesText = (piece: Becomes, sheet: LaidSheet, parts: Parts): string => {
  const { becomes } = piece;
  const named = partsOf(piece, sheet).flatMap((id) => parts.get(id) ?? []);
  if (named.length > 0) return named.map(({ tag, name }) => `${tag} ${name}`).join(' and ');
  if (becomes === 'rest') return 'a rest to keep';
  return becomes === 'trim' ? 'the trimmed edge' : 'a strip that is cut again';
};

const edgeText = ({ way }: Pick<CutStep, 'way'>): string => (way === 'across' ? 'from the left edge' : 'from the lower edge');

const Words = ({
  setting,
  nth,
  sheet,
  parts,
  units,
}: {
  readonly sheet: LaidSheet;
  readonly setting: CutSetting;
  readonly nth: number;
  readonly parts: Parts;
  readonly units: Units;
}) => {
  const step = setting.steps[nth] as CutStep;
  return (
    <div aria-live="polite" data-testid="cut-step">
      <p className="font-hand text-lead leading-snug">
        Rule at <strong className="text-rose">{showLength(setting.setting, units)}</strong> {edgeText(setting)}.
        {setting.steps.length > 1 && (
          <span className="text-graphite">
            {' '}
            Cut {nth + 1} of {setting.steps.length} with this setting.
          </span>
        )}
      </p>
      <p className="text-note">
        Falls off: <strong>{becomesText(step.off, sheet, parts)}</strong>. Stays: {becomesText(step.stays, sheet, parts)}.
      </p>
    </div>
  );
};

/** The setting that is cut now stays in sight in the list. */
const intoSight = (element: HTMLElement | null): void => element?.scrollIntoView({ block: 'nearest' });

const Settings = ({
  settings,
  now,
  onGo,
  units,
}: {
  readonly settings: readonly CutSetting[];
  readonly now: number;
  readonly onGo: (step: number) => void;
  readonly units: Units;
}) => {
  let before = 0;
  return (
    <ol className="max-h-[45vh] overflow-y-auto border-t border-tab" aria-label="Settings of the rule, in order">
      {settings.map((setting) => {
        const first = before;
        before += setting.steps.length;
        const open = now >= first && now < before;
        return (
          <li key={first}>
            <button
              type="button"
              onClick={() => onGo(first)}
              ref={open ? intoSight : undefined}
              aria-current={open ? 'step' : undefined}
              className={cx(
                'w-full min-h-touch flex justify-between gap-3 px-2 items-center text-note text-left border-b border-dashed border-tab',
                open ? 'bg-oat' : 'hover:bg-oat/60',
              )}
            >
              <span className="font-hand text-pencil">{showLength(setting.setting, units)}</span>
              <span className="text-graphite">
                {edgeText(setting)} · {setting.steps.length} {setting.steps.length === 1 ? 'cut' : 'cuts'}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
};

/** Cuts a sheet apart step by step: where the rule lies, what falls off, and what is cut with the same setting. */
export const CutPlayer = ({
  sheet,
  title,
  parts,
  units,
  onClose,
}: {
  readonly sheet: LaidSheet;
  readonly title: string;
  readonly parts: Parts;
  readonly units: Units;
  readonly onClose: () => void;
}) => {
  const { cutting } = useSet();
  const [step, setStep] = useState(0);
  const settings = useMemo(
    () => (sheet.cuts ? cutSteps(sheet.kind, sheet.kind.offcut === null ? cutting.trim : NO_TRIM, sheet.cuts, cutting.gap) : []),
    [sheet, cutting],
  );
  const steps = settings.flatMap((setting) => setting.steps);
  const byHand = sheet.placements.flatMap(({ id }) => (isShaped(parts.get(id)) ? [id] : []));
  let before = 0;
  const setting = settings.find(({ steps: mine }) => {
    if (step < before + mine.length) return true;
    before += mine.length;
    return false;
  });
  const last = steps.length;
  const go = (to: number) => setStep(Math.max(0, Math.min(last, to)));
  useArrows(useCallback((by: 1 | -1) => setStep((now) => Math.max(0, Math.min(last, now + by))), [last]));
  return (
    <Sheet wide title={title} open onOpenChange={(open) => !open && onClose()}>
      <div className="grid md:grid-cols-[minmax(0,1fr)_22rem] gap-6">
        <CutTable sheet={sheet} steps={steps} step={step} parts={parts} />
        <div className="space-y-3">
          <div className="flex items-center gap-1" role="group" aria-label="Cutting it, step by step">
            <Button look="quiet" className="px-2.5!" aria-label="One cut back" disabled={step === 0} onClick={() => go(step - 1)}>
              <StepBack size={18} />
            </Button>
            <Button look="quiet" className="px-2.5!" aria-label="The next cut" disabled={step >= steps.length} onClick={() => go(step + 1)}>
              <StepForward size={18} />
            </Button>
            <span className="text-note text-graphite tabular-nums">
              {Math.min(step + 1, steps.length)} of {steps.length} cuts
            </span>
          </div>
          {setting ? (
            <Words setting={setting} nth={step - before} sheet={sheet} parts={parts} units={units} />
          ) : (
            <p className="font-hand text-lead" data-testid="cut-step">
              {steps.length === 0 ? 'Nothing to cut: the sheet is the part.' : 'All parts are cut.'}
            </p>
          )}
          {byHand.length > 0 && (
            <p className="text-note text-graphite">
              Drawn with dashes: {[...new Set(byHand.map((id) => parts.get(id)?.tag))].join(', ')}, cut out along the outline afterwards
              {sheet.shared.some(({ parts: ids }) => ids.some((id) => (parts.get(id)?.region.holes.length ?? 0) > 0))
                ? '; what lies in the opening of another part falls out first'
                : ''}
              .
            </p>
          )}
          <p className="border-l-3 border-rose pl-3 font-hand text-note text-rose">
            A new blade, a metal rule, a mat; fingers behind the rule. Several light passes.
          </p>
          <Settings settings={settings} now={step} onGo={go} units={units} />
        </div>
      </div>
    </Sheet>
  );
};
