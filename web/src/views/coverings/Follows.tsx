import { type Finish, type Look, mainColour } from '@parlor/core/cover';
import { type DerivedCovering, type DerivedPiece, neighbours } from '@parlor/core/set';
import type { Vec3 } from '@parlor/core/shape';
import { useNeeds, useSet } from '../../state/index.ts';
import { type Foretaste, MarginNotes, notesOf } from '../../ui/index.ts';
import { AgainstDoll, DressedModel } from './Dressed.tsx';
import { Needs } from './Needs.tsx';
import { Beside } from './Palette.tsx';
import { Unfolded, useSeams } from './Unfolded.tsx';

const NOTHING = new Map<string, Look>();

type Props = {
  readonly piece: DerivedPiece | undefined;
  readonly covering: DerivedCovering | null;
  readonly looks: ReadonlyMap<string, Look> | null;
  readonly inHand: Finish | null;
  readonly onTouch: ((part: number, at: Vec3) => void) | undefined;
  /** The parts that a touch on one dresses whole; null where it dresses the face. */
  readonly reach: (part: number) => readonly number[] | null;
};

/** The piece dressed, its papers, what they take, and the notes in the margin. */
export const Follows = ({ piece, covering, looks, inHand, onTouch, reach }: Props) => {
  const { finishes } = useSet();
  const needed = useNeeds();
  const seams = useSeams(needed?.needs, piece?.id ?? '');
  const made = piece?.made ?? null;
  const known = looks ?? NOTHING;
  if (!piece) return <p className="font-hand text-graphite">working it out …</p>;
  if (!made) return <p className="font-hand text-graphite">It cannot be built as it is; see the note at Pieces.</p>;
  const beside = covering ? neighbours(covering, piece) : [];
  const named = (id: string) => {
    const look = known.get(id);
    return { name: finishes.find((finish) => finish.id === id)?.name ?? '', colour: look ? mainColour(look) : '#cfc9c0' };
  };
  const handLook = inHand && known.get(inHand.id);
  const foretaste = (part: number): Foretaste => ({ colour: handLook ? mainColour(handLook) : null, on: reach(part) ?? 'face' });
  const notes = (needed?.findings ?? []).filter(({ where }) => where.pieceId === piece.id);
  return (
    <div className="flex flex-col min-h-full">
      <header>
        <h2 className="text-head">{piece.name || 'This piece'}, dressed</h2>
        <p className="text-graphite" aria-live="polite">
          {onTouch ? 'touch a face to dress it' : 'take a swatch in hand, then touch a face'}
        </p>
      </header>
      <div className={handLook ? '@container' : ''}>
        <div className={handLook ? 'grid @min-[30rem]:grid-cols-[minmax(0,1fr)_auto] gap-3 items-center' : ''}>
          <DressedModel piece={piece} made={made} covering={covering} looks={known} onTouch={onTouch} foretaste={foretaste} />
          {handLook && <AgainstDoll look={handLook} />}
        </div>
      </div>
      <div className="space-y-6 mt-3 pb-4">
        <div className="@container">
          <div className="grid @min-[31rem]:grid-cols-2 gap-6 items-start mb-6 empty:hidden">
            <MarginNotes notes={notesOf(notes)}>
              {needed && needed.needs.length > 0 && 'Nothing to note: enough paper, no raw edge in sight.'}
            </MarginNotes>
            {beside.length > 0 && (
              <section aria-label="Colours side by side">
                <h3 className="text-small text-graphite mb-1.5">side by side on it</h3>
                <ul className="space-y-1.5">
                  {beside.map(([one, other]) => (
                    <Beside key={`${one} ${other}`} one={named(one)} other={named(other)} />
                  ))}
                </ul>
              </section>
            )}
          </div>
          <Needs needs={needed?.needs ?? []} looks={known} />
        </div>
        {covering && covering.covering.papers.length + covering.covering.paints.length > 0 ? (
          <Unfolded made={made} covering={covering} looks={known} seams={seams} />
        ) : (
          <p className="font-hand text-graphite">
            {covering ? 'It wears nothing yet: bare board, as it was bought.' : 'unfolding its papers …'}
          </p>
        )}
      </div>
    </div>
  );
};
