import { type Art, type Finish, PATTERN_NAMES, PATTERNS, type PatternName } from '@parlor/core/cover';
import { dollUm, realUm, showLength, UM } from '@parlor/core/measure';
import { rulerGrid } from '@parlor/core/set';
import { Shuffle, Trash2 } from 'lucide-react';
import { useEdit, useScale, useSet, useUnits } from '../../state/index.ts';
import { Button, Choice, cx, NumberField, Picker, SizeField, TextField } from '../../ui/index.ts';
import { changeFinish, dropFinish, FIRST_ROLL, patternArt, realSizes, signArt, wholeCourses } from './dressing.ts';
import { PictureFields, SignFields } from './FlatArt.tsx';
import { lookOfArt } from './looks.ts';

const HOW = [
  { value: 'paper', label: 'paper' },
  { value: 'film', label: 'film' },
  { value: 'paint', label: 'paint' },
] as const;
const EDGES = [
  { value: 'wrapped', label: 'wrapped round' },
  { value: 'strips', label: 'strips' },
  { value: 'raw', label: 'left raw' },
] as const;
const SUPPLY = [
  { value: 'printed', label: 'my printer' },
  { value: 'sheets', label: 'sheets' },
  { value: 'roll', label: 'a roll' },
] as const;

type Change = (words: string, change: Partial<Finish>) => void;

/** A row of the palette's colours; the first keeps the pattern's own. */
const InkChoice = ({
  label,
  value,
  usual,
  onChange,
}: {
  readonly label: string;
  readonly value: string | null;
  readonly usual: string | null;
  readonly onChange: (ink: string | null) => void;
}) => {
  const { palette } = useSet();
  const dab = (colour: string, on: boolean) =>
    cx('size-8 rounded-full border-2', on ? 'border-ink ring-2 ring-paper ring-inset' : 'border-tab') + (colour ? '' : '');
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap items-center gap-1.5">
      <span className="text-small text-graphite w-24 shrink-0">{label}</span>
      {usual !== null && (
        <button
          type="button"
          role="radio"
          aria-checked={value === null}
          aria-label={`${label}: the pattern’s own`}
          title="the pattern’s own"
          onClick={() => onChange(null)}
          className={cx(dab(usual, value === null), 'border-dashed')}
          style={{ background: usual }}
        />
      )}
      {palette.map(({ id, name, colour }) => (
        <button
          key={id}
          type="button"
          role="radio"
          aria-checked={value === id}
          aria-label={`${label}: ${name}`}
          title={name}
          onClick={() => onChange(id)}
          className={dab(colour, value === id)}
          style={{ background: colour }}
        />
      ))}
    </div>
  );
};

/** The pattern's real sizes, its inks, and whole courses for the piece that lies open. */
const PatternFields = ({
  finish,
  art,
  change,
  heightUm,
}: {
  readonly finish: Finish;
  readonly art: Extract<Art, { kind: 'pattern' }>;
  readonly change: Change;
  readonly heightUm: number | null;
}) => {
  const { palette } = useSet();
  const scale = useScale();
  const units = useUnits();
  const pattern = PATTERNS[art.pattern];
  const real = realSizes(art);
  const whole = scale && heightUm ? wholeCourses(art, heightUm, scale) : null;
  const grid = scale && finish.how === 'paint' ? rulerGrid(lookOfArt(art, palette, scale)) : null;
  return (
    <>
      <div className="grid grid-cols-2 gap-x-5 gap-y-3">
        {Object.entries(pattern.sizes).map(([key, { label, min, max, source }]) => (
          <SizeField
            key={key}
            label={`${label}, real`}
            world="real"
            lengthUm={real[key] as number}
            min={min * UM.mm}
            max={max * UM.mm}
            hint={source.startsWith('common') ? undefined : source}
            onChange={(um) => change(`${label} of ${finish.name}`, { art: { ...art, sizes: { ...art.sizes, [key]: realUm(um) } } })}
          />
        ))}
      </div>
      {whole && (
        <p className="font-hand text-body">
          {whole.now.toFixed(1)} {pattern.kind === 'floor' ? 'rows' : 'courses'} to this piece’s height.{' '}
          <button
            type="button"
            className="underline underline-offset-4 decoration-2 font-semibold min-h-touch"
            onClick={() => change(`whole courses of ${finish.name}`, { art: { ...art, sizes: whole.sizes } })}
          >
            make it {whole.whole} whole ones
          </button>
        </p>
      )}
      {grid && (
        <p className="font-hand text-body">
          To draw it by hand: lines every {showLength(Math.round(grid.up), units)} up, every {showLength(Math.round(grid.across), units)}{' '}
          across
          {grid.shift > 0 && <>, every other row shifted by {showLength(Math.round(grid.shift), units)}</>}.
        </p>
      )}
      <div className="space-y-1.5">
        {pattern.inks.map(({ label, usual }, index) => (
          <InkChoice
            key={label}
            label={label}
            usual={usual}
            value={art.inks[index] ?? null}
            onChange={(ink) => {
              const inks = pattern.inks.map((_, each) => (each === index ? ink : (art.inks[each] ?? null)));
              change(`${label} of ${finish.name}`, { art: { ...art, inks } });
            }}
          />
        ))}
      </div>
      {pattern.repeat(Object.fromEntries(Object.entries(real))) === null && (
        <Button
          look="quiet"
          className="-ml-3"
          onClick={() => change(`${finish.name} shuffled`, { art: { ...art, seed: (art.seed * 7919 + 13) % 999_983 } })}
        >
          <Shuffle size={16} /> shuffle its chance
        </Button>
      )}
    </>
  );
};

const SupplyFields = ({ finish, change }: { readonly finish: Finish; readonly change: Change }) => {
  const { supply } = finish;
  const put = (next: Finish['supply']) => change(`where ${finish.name} comes from`, { supply: next });
  return (
    <>
      <Choice
        label="It comes from"
        value={supply.kind}
        options={SUPPLY}
        onChange={(kind) =>
          put(
            kind === 'printed'
              ? { kind }
              : kind === 'sheets'
                ? { kind, width: dollUm(12 * UM.in), height: dollUm(12 * UM.in), atHand: 0, price: null }
                : { kind, width: FIRST_ROLL, atHand: dollUm(0), price: null },
          )
        }
      />
      {supply.kind === 'sheets' && (
        <div className="grid grid-cols-4 gap-3">
          <SizeField
            label="Wide"
            world="doll"
            lengthUm={supply.width}
            min={20 * UM.mm}
            max={3 * UM.m}
            onChange={(um) => put({ ...supply, width: dollUm(um) })}
          />
          <SizeField
            label="High"
            world="doll"
            lengthUm={supply.height}
            min={20 * UM.mm}
            max={3 * UM.m}
            onChange={(um) => put({ ...supply, height: dollUm(um) })}
          />
          <NumberField
            label="At hand"
            value={supply.atHand}
            min={0}
            max={999}
            whole
            onChange={(value) => put({ ...supply, atHand: value ?? 0 })}
          />
          <NumberField
            label="Price of one"
            value={supply.price}
            min={0}
            max={1e6}
            blank
            onChange={(value) => put({ ...supply, price: value })}
          />
        </div>
      )}
      {supply.kind === 'roll' && (
        <div className="grid grid-cols-3 gap-3">
          <SizeField
            label="Wide"
            world="doll"
            lengthUm={supply.width}
            min={20 * UM.mm}
            max={3 * UM.m}
            onChange={(um) => put({ ...supply, width: dollUm(um) })}
          />
          <SizeField
            label="At hand"
            world="doll"
            lengthUm={supply.atHand}
            min={0}
            max={100 * UM.m}
            onChange={(um) => put({ ...supply, atHand: dollUm(um) })}
          />
          <NumberField
            label="Price of a metre"
            value={supply.price}
            min={0}
            max={1e6}
            blank
            onChange={(value) => put({ ...supply, price: value })}
          />
        </div>
      )}
    </>
  );
};

const CARE = {
  paint: 'Try it on an offcut; wet paint bends board that is painted on one side only. Spray only outdoors, with a mask, as the can says.',
  film: 'Film shows what is under it: back it with smooth card. Press from the middle outwards.',
  paper: 'Spray glue only with air and a mask; a new blade cuts paper cleanly. Found pictures: mind the rights, above all when selling.',
} as const;

/** All that is decided about the swatch in hand. */
export const FinishCard = ({
  finish,
  heightUm,
  onGone,
}: {
  readonly finish: Finish;
  readonly heightUm: number | null;
  readonly onGone: () => void;
}) => {
  const set = useSet();
  const edit = useEdit();
  const change: Change = (words, part) => edit(words, changeFinish(set, finish.id, part));
  const { art } = finish;
  const looks = [
    { value: 'plain', label: 'one colour' },
    ...PATTERN_NAMES.map((name) => ({ value: name as string, label: PATTERNS[name].label })),
    ...(art.kind === 'picture' ? [{ value: 'picture', label: 'a picture' }] : []),
    { value: 'sign', label: 'a sign with words' },
  ];
  const takeLook = (value: string) => {
    if (value === 'picture') return;
    const next: Art =
      value === 'plain'
        ? { kind: 'plain', ink: set.palette[0]?.id ?? '' }
        : value === 'sign'
          ? signArt(set.palette)
          : patternArt(value as PatternName);
    change(`what ${finish.name} looks like`, { art: next });
  };
  return (
    <section aria-label={`About ${finish.name}`} className="bg-leaf rounded-leaf p-4 space-y-3.5 shadow-leaf">
      <div className="flex items-end gap-3">
        <div className="flex-1 min-w-0">
          <TextField
            label="This swatch is called"
            value={finish.name}
            most={60}
            onChange={(name) => change('the name of a swatch', { name })}
          />
        </div>
        <Button
          look="quiet"
          className="px-3!"
          aria-label={`Throw ${finish.name} away`}
          onClick={() => {
            edit(`${finish.name} thrown away`, dropFinish(set, finish.id));
            onGone();
          }}
        >
          <Trash2 size={17} />
        </Button>
      </div>
      <div className="grid grid-cols-2 gap-5 items-end">
        <Picker label="Looks like" value={art.kind === 'pattern' ? art.pattern : art.kind} options={looks} onChange={takeLook} />
        <Choice label="Made with" value={finish.how} options={HOW} onChange={(how) => change(`how ${finish.name} is made`, { how })} />
      </div>
      {art.kind === 'plain' && (
        <InkChoice
          label="colour"
          usual={null}
          value={art.ink}
          onChange={(ink) => change(`the colour of ${finish.name}`, { art: { kind: 'plain', ink: ink ?? '' } })}
        />
      )}
      {art.kind === 'pattern' && <PatternFields finish={finish} art={art} change={change} heightUm={heightUm} />}
      {art.kind === 'picture' && <PictureFields finish={finish} art={art} change={change} />}
      {art.kind === 'sign' && (
        <SignFields
          finish={finish}
          art={art}
          change={change}
          ink={(label, value, put) => <InkChoice label={label} usual={null} value={value} onChange={(ink) => put(ink ?? '')} />}
        />
      )}
      {finish.how === 'paint' ? (
        <div className="grid grid-cols-2 gap-5">
          <NumberField
            label="Coats"
            value={finish.coats}
            min={1}
            max={9}
            whole
            onChange={(coats) => change('coats of paint', { coats: coats ?? 1 })}
          />
          <NumberField
            label="A litre covers, m²"
            value={finish.spread}
            min={1}
            max={40}
            onChange={(spread) => change('how far paint goes', { spread: spread ?? 10 })}
          />
        </div>
      ) : (
        <>
          <div className="grid grid-cols-[minmax(0,1fr)_8rem] gap-4 items-end">
            <Choice
              label="Edges of the board"
              value={finish.edges}
              options={EDGES}
              onChange={(edges) => change(`edges of ${finish.name}`, { edges })}
            />
            {finish.edges === 'wrapped' && (
              <SizeField
                label="Turned in by"
                world="doll"
                lengthUm={finish.turn}
                min={0}
                max={60 * UM.mm}
                onChange={(um) => change(`how far ${finish.name} turns in`, { turn: dollUm(um) })}
              />
            )}
          </div>
          <SupplyFields finish={finish} change={change} />
        </>
      )}
      <p className="font-hand text-small text-rose border-l-3 border-rose pl-3">{CARE[finish.how]}</p>
    </section>
  );
};
