import { ROLES } from '@parlor/core/assembly';
import { RUNS, type Runs, type Wear, type WornAt } from '@parlor/core/cover';
import { dollUm, UM } from '@parlor/core/measure';
import type { MadePiece, Piece } from '@parlor/core/set';
import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, Check, Choice, Picker, SizeField } from '../../ui/index.ts';
import { atWords, wearAt, wearEdit } from './dressing.ts';

const WHEN = [
  { value: 'flat', label: 'part by part, flat' },
  { value: 'built', label: 'the whole, once built' },
] as const;

const RUNS_OPTIONS = RUNS.map((value) => ({ value, label: value }));

type RowProps = {
  readonly piece: Piece;
  readonly at: WornAt;
  readonly label: string;

  readonly onGone?: (() => void) | undefined;
};

/** What one thing wears; nothing chosen leaves it what is around it. */
const Row = ({ piece, at, label, onGone }: RowProps) => {
  const { finishes } = useSet();
  const edit = useEdit();
  const wear = wearAt(piece, at);
  const put = (words: string, next: Omit<Wear, 'at'> | undefined) => edit(words, wearEdit(piece, at, next));
  const usual: Omit<Wear, 'at'> = { finish: null, runs: 'as drawn', upTo: null };
  const options = [
    { value: '', label: at.kind === 'piece' ? 'nothing' : 'as around it' },
    ...(at.kind === 'piece' ? [] : [{ value: 'bare', label: 'bare board' }]),
    ...finishes.map(({ id, name }) => ({ value: id, label: name })),
  ];
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_9.5rem_2.75rem] gap-x-3 items-end" data-wears={label}>
      <Picker
        label={label}
        value={wear ? (wear.finish ?? 'bare') : ''}
        options={options}
        onChange={(value) =>
          put(`${label} dressed`, value === '' ? undefined : { ...usual, ...wear, finish: value === 'bare' ? null : value })
        }
      />
      {wear?.finish ? (
        <Picker
          label="it runs"
          value={wear.runs}
          options={RUNS_OPTIONS}
          onChange={(runs) => put(`which way ${label} runs`, { ...wear, runs: runs as Runs })}
        />
      ) : (
        <span />
      )}
      {onGone ? (
        <Button look="quiet" className="px-0! size-11" aria-label={`${label}: as around it again`} onClick={onGone}>
          <X size={16} />
        </Button>
      ) : (
        <span />
      )}
      {wear?.upTo != null && (
        <div className="col-span-3 grid grid-cols-[9rem_auto] items-end gap-3">
          <SizeField
            label="up to a rail at"
            world="doll"
            lengthUm={wear.upTo}
            min={1 * UM.mm}
            max={3 * UM.m}
            onChange={(um) => put(`the rail of ${label}`, { ...wear, upTo: dollUm(um) })}
          />
          <Button look="quiet" onClick={() => put(`${label} to the top`, { ...wear, upTo: null })}>
            all the way up
          </Button>
        </div>
      )}
    </li>
  );
};

/** Who wears what, from the whole piece to a single face; every choice that can be made on the model can be made here by keyboard. */
export const WornList = ({ piece, made }: { readonly piece: Piece; readonly made: MadePiece }) => {
  const edit = useEdit();
  const id = useId();
  const [asked, setAsked] = useState<readonly WornAt[]>([]);
  const { parts } = made.assembly;
  const boards = parts.filter(({ stuff }) => stuff === 'board' || stuff === 'stick');
  const roles = ROLES.filter((role) => boards.some((part) => part.role === role));
  const own = piece.dress.wears.filter(({ at }) => at.kind === 'part' || at.kind === 'face').map(({ at }) => at);
  const rows = [...own, ...asked.filter((at) => !wearAt(piece, at))];
  const { dress } = piece;
  const change = (words: string, part: Partial<Piece['dress']>) =>
    edit(words, { kind: 'change-piece', id: piece.id, change: { dress: { ...dress, ...part } } });
  const others = boards.filter((part) => !rows.some((at) => at.kind === 'part' && at.part === part.id));
  return (
    <section aria-labelledby={id} className="space-y-3">
      <h2 id={id} className="text-lead font-semibold">
        Who wears what
      </h2>
      <ul className="space-y-1.5">
        <Row piece={piece} at={{ kind: 'piece' }} label="the whole piece" />
        {roles.map((role) => (
          <Row key={role} piece={piece} at={{ kind: 'role', role }} label={`every ${role}`} />
        ))}
        {rows.map((at) => (
          <Row
            key={JSON.stringify(at)}
            piece={piece}
            at={at}
            label={atWords(at, parts, made.tags)}
            onGone={() => {
              setAsked(asked.filter((each) => each !== at));
              edit('a choice taken back', wearEdit(piece, at, undefined));
            }}
          />
        ))}
      </ul>
      <Picker
        label="a part that wears its own"
        value=""
        options={[
          { value: '', label: 'choose a part …' },
          ...others.map((part) => ({ value: part.id, label: atWords({ kind: 'part', part: part.id }, parts, made.tags) })),
        ]}
        onChange={(part) => part && setAsked([...asked, { kind: 'part', part }])}
      />
      <Choice
        label="Covered"
        value={dress.when}
        options={WHEN}
        hint={
          dress.when === 'flat'
            ? 'each part before it stands: straight cuts on the table, bare where glue must hold'
            : 'papers hide the joints; reaching into corners takes patience'
        }
        onChange={(when) => change('when it is covered', { when })}
      />
      <div className="grid grid-cols-2">
        <Check checked={dress.behind} onChange={(behind) => change('the back', { behind })}>
          its back too
        </Check>
        <Check checked={dress.underneath} onChange={(underneath) => change('the underside', { underneath })}>
          its underside too
        </Check>
      </div>
    </section>
  );
};
