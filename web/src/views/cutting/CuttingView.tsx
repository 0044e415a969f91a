import type { SetDocument } from '@parlor/core/set';
import { Plus } from 'lucide-react';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { Button, MarginNotes, notesOf, Spread } from '../../ui/index.ts';
import { BoardCard } from './BoardCard.tsx';
import { BoardFiles } from './BoardFiles.tsx';
import { ClothAtHand } from './ClothAtHand.tsx';
import { ClothPlans } from './ClothPlans.tsx';
import { HowToCut } from './HowToCut.tsx';
import { Sheets } from './Sheets.tsx';
import { Sticks } from './Sticks.tsx';
import { SticksAtHand } from './SticksAtHand.tsx';

const newBoard = (boards: SetDocument['boards']): SetDocument['boards'][number] => {
  const first = boards[0] as SetDocument['boards'][number];
  return { ...first, id: crypto.randomUUID(), name: `board ${boards.length + 1}` };
};

const Decided = () => {
  const { boards } = useSet();
  const edit = useEdit();
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
      <SticksAtHand />
      <ClothAtHand />
      <HowToCut />
      <p className="border-l-3 border-rose pl-3 font-hand text-body text-rose max-w-md">
        Cut with a new blade along a metal rule, on a mat, away from the hand. A grown-up cuts for children.
      </p>
    </div>
  );
};

const Notes = () => {
  const pieces = useAppSelector((state) => state.derived.set?.pieces ?? []);
  const found = pieces.flatMap(({ name, findings }) =>
    findings.filter(({ code }) => code === 'part-larger-than-board' || code === 'part-joined').map((finding) => ({ name, finding })),
  );
  const about = useAppSelector((state) => state.derived.cuttingFindings);
  if (found.length + about.length === 0) return null;
  return <MarginNotes notes={[...notesOf(about), ...found.map(({ name, finding }) => ({ finding, of: name }))]} className="mb-5" />;
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
        <Sticks />
        <ClothPlans />
        <BoardFiles />
      </>
    }
  />
);
