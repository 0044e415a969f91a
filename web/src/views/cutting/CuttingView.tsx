import { UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { Plus } from 'lucide-react';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { Button, GapHelp, MarginNote, SizeField, Spread } from '../../ui/index.ts';
import { BoardCard } from './BoardCard.tsx';
import { Sheets } from './Sheets.tsx';

type Cutting = SetDocument['cutting'];

const newBoard = (boards: SetDocument['boards']): SetDocument['boards'][number] => {
  const first = boards[0] as SetDocument['boards'][number];
  return { ...first, id: crypto.randomUUID(), name: `board ${boards.length + 1}` };
};

const Decided = () => {
  const { boards, cutting } = useSet();
  const edit = useEdit();
  const change = (words: string, part: Partial<Cutting>) =>
    edit(words, { kind: 'change-set', change: { cutting: { ...cutting, ...part } } });
  const board = newBoard(boards);
  return (
    <div className="space-y-5">
      <header>
        <h1 className="text-title">Boards at hand</h1>
        <p className="text-graphite">what you cut from · what you decide</p>
      </header>
      {boards.map((each) => (
        <BoardCard key={each.id} board={each} />
      ))}
      <Button onClick={() => edit('a board more', { kind: 'add-board', at: boards.length, board })}>
        <Plus size={18} />
        another board
      </Button>
      <div className="grid grid-cols-2 gap-5 max-w-md">
        <SizeField
          label="Knife gap between parts"
          help={<GapHelp />}
          world="doll"
          lengthUm={cutting.gap}
          max={10 * UM.mm}
          onChange={(gap) => change('the knife gap', { gap: gap as Cutting['gap'] })}
          hint="What a cut takes away or frays."
        />
        <SizeField
          label="Trim off each sheet edge"
          world="doll"
          lengthUm={cutting.trim}
          max={50 * UM.mm}
          onChange={(trim) => change('the trim', { trim: trim as Cutting['trim'] })}
          hint="Bought edges are often dented."
        />
      </div>
      <p className="border-l-3 border-rose pl-3 font-hand text-body text-rose max-w-md">
        Cut with a new blade along a metal rule, on a mat, away from the hand. A grown-up cuts for children.
      </p>
    </div>
  );
};

const Notes = () => {
  const pieces = useAppSelector((state) => state.derived.set?.pieces ?? []);
  const found = pieces.flatMap(({ name, findings }) =>
    findings.filter(({ code }) => code === 'part-larger-than-board').map((finding) => ({ name, finding })),
  );
  if (found.length === 0) return null;
  return (
    <ul className="space-y-3 mb-5" aria-label="Margin notes">
      {found.map(({ name, finding }) => (
        <MarginNote key={`${name} ${JSON.stringify(finding.where)}`} finding={finding} of={name} />
      ))}
    </ul>
  );
};

/** The boards at hand, and how the set's parts lie on them. */
export const CuttingView = () => (
  <Spread
    leftLabel="What you decide about the boards"
    rightLabel="What follows"
    left={<Decided />}
    right={
      <>
        <Notes />
        <Sheets />
      </>
    }
  />
);
