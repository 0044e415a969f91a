import { type Art, type Finish, PATTERN_NAMES, PATTERNS, type PatternName } from '@parlor/core/cover';
import { dollUm, UM } from '@parlor/core/measure';
import { Trash2 } from 'lucide-react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, Choice, InkChoice, NumberField, Picker, SizeField, TextField } from '../../ui/index.ts';
import { type Change, changeFinish, dropFinish, patternArt, signArt } from './dressing.ts';
import { PictureFields, SignFields } from './FlatArt.tsx';
import { PatternFields } from './PatternFields.tsx';
import { SupplyFields } from './SupplyFields.tsx';

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
