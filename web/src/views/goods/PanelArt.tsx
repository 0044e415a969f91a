import type { Measure, Scale } from '@parlor/core/measure';
import { dollUm, isDollSize, UM } from '@parlor/core/measure';
import { artFor, type Good, MOTIFS, newArt, type PrintedArt } from '@parlor/core/piece';
import { useId } from 'react';
import { useSet } from '../../state/index.ts';
import { Button, Check, Choice, HANDS, InkChoice, LINES_STAND, MeasureField, Picker, WordsField } from '../../ui/index.ts';

const MOTIF_WORDS: Readonly<Record<PrintedArt['motif'], string>> = {
  none: 'nothing drawn',
  print: 'columns of print',
  staves: 'staves and notes',
  month: 'a month',
  squares: 'squares of a board',
  address: 'an address and a stamp',
  stamp: 'a stamp',
  land: 'land and water',
  'page edges': 'edges of pages',
  lines: 'ruled lines',
  frame: 'a frame',
  stripes: 'stripes',
  slate: 'a slate, written on with chalk',
};

type Props = {
  readonly good: Good;
  readonly panels: readonly string[];
  readonly panel: string;
  readonly scale: Scale;
  readonly onPanel: (panel: string) => void;
  readonly onChange: (words: string, change: Partial<Good>) => void;
};

/** Panels of one kind, such as the backs of a row of books, may be decided at once. */
const kindOf = (panel: string, panels: readonly string[]): string | null => {
  const stem = panel.replace(/ \d+$/, '');
  return stem !== panel && panels.filter((each) => each.replace(/ \d+$/, '') === stem).length > 1 ? stem : null;
};

const USUAL_HIGH: Measure = { doll: dollUm(3 * UM.mm) };

/** What is printed on one panel: colour, finish, drawing, words; across which others it is laid, and which way it is turned. */
export const PanelArt = ({ good, panels, panel, scale, onPanel, onChange }: Props) => {
  const { palette, finishes } = useSet();
  const id = useId();
  const own = good.art.find((each) => each.panel === panel);
  const kind = kindOf(panel, panels);
  const art = artFor(good.art, panel) ?? newArt(kind ?? panel);
  const put = (words: string, change: Partial<PrintedArt>): void => {
    const next = { ...art, ...change };
    const others = good.art.filter((each) => each.panel !== art.panel);
    onChange(`${words} of the ${art.panel} of ${good.name}`, { art: [...others, next] });
  };
  const tray = finishes.filter(({ how }) => how !== 'paint');
  return (
    <section aria-labelledby={id} className="mt-3" data-testid="panel-art">
      <h3 id={id} className="text-head">
        What is on it
      </h3>
      <Picker label="Panel" value={panel} options={panels.map((name) => ({ value: name, label: name }))} onChange={onPanel} />
      {kind && (
        <Check
          checked={own !== undefined}
          onChange={(apart) =>
            onChange(`the ${panel} of ${good.name}`, {
              art: apart ? [...good.art, { ...art, panel }] : good.art.filter((each) => each.panel !== panel),
            })
          }
        >
          this {kind} by itself, not as all the others
        </Check>
      )}
      <div className="space-y-2.5 mt-1.5">
        <WordsField label="Words, line by line" value={art.words} onChange={(words) => put('the words', { words })} />
        <p className="text-small text-graphite -mt-1">
          {'{title}'}, {'{plant}'}, {'{food}'}, {'{name}'} and {'{town}'} are filled in by chance, {'{n}'} counts.
        </p>
        <Picker
          label="Drawn on it"
          value={art.motif}
          options={MOTIFS.map((motif) => ({ value: motif, label: MOTIF_WORDS[motif] }))}
          onChange={(motif) => put('the drawing', { motif: motif as PrintedArt['motif'] })}
        />
        {tray.length > 0 && (
          <Picker
            label="A finish of the tray"
            value={art.finish ?? ''}
            options={[{ value: '', label: 'none' }, ...tray.map(({ id: finish, name }) => ({ value: finish, label: name }))]}
            onChange={(finish) => put('the finish', { finish: finish === '' ? null : finish })}
          />
        )}
        <InkChoice label="ground" usual="#ffffff" value={art.ground} onChange={(ground) => put('the ground', { ground })} />
        <InkChoice label="ink" usual="#2b2440" value={art.ink} onChange={(ink) => put('the ink', { ink })} />
        <Choice label="Written" value={art.face} options={HANDS} onChange={(face) => put('the hand', { face })} />
        <Choice label="Lines" value={art.align} options={LINES_STAND} onChange={(align) => put('the lines', { align })} />
        <div className="grid grid-cols-2 gap-x-6 items-end">
          <Check checked={art.high === null} onChange={(fills) => put('the size of letters', { high: fills ? null : USUAL_HIGH })}>
            letters fill it
          </Check>
          {art.high !== null && (
            <MeasureField
              label="Letters, high"
              measure={art.high}
              scale={scale}
              min={isDollSize(art.high) ? 1_000 : 1 * UM.mm}
              max={3 * UM.m}
              onChange={(high) => put('the size of letters', { high })}
            />
          )}
        </div>
        <div className="flex flex-wrap items-center gap-2">
          <Button onClick={() => put('the turn', { turn: ((art.turn + 1) % 4) as PrintedArt['turn'] })}>turn it a quarter</Button>
          <span className="text-small text-graphite" aria-live="polite">
            {
              ['the right way up once it is folded', 'a quarter turned to the left', 'on its head', 'a quarter turned to the right'][
                art.turn
              ]
            }
          </span>
        </div>
        {panels.length > 1 && (
          <details>
            <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
              Laid across other panels{art.across.length > 0 ? `: ${art.across.join(', ')}` : ''}
            </summary>
            <div className="grid grid-cols-2">
              {panels
                .filter((name) => name !== panel)
                .slice(0, 20)
                .map((name) => (
                  <Check
                    key={name}
                    checked={art.across.includes(name)}
                    onChange={(on) => put('the reach', { across: on ? [...art.across, name] : art.across.filter((each) => each !== name) })}
                  >
                    {name}
                  </Check>
                ))}
            </div>
          </details>
        )}
        {palette.length === 0 && <p className="text-small text-graphite">Colours come from the palette, on the page of coverings.</p>}
      </div>
    </section>
  );
};
