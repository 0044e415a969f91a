import { faceAt, type Look, type WornAt } from '@parlor/core/cover';
import type { MadePiece, Piece } from '@parlor/core/set';
import type { Vec3 } from '@parlor/core/shape';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { useCovering, useDerivedPiece, useEdit, useScale, useSet } from '../../state/index.ts';
import { Choice, PieceTickets, Spread } from '../../ui/index.ts';
import { Booklets } from './Booklets.tsx';
import { atWords, SCOPES, type Scope, wearEdit } from './dressing.ts';
import { FinishCard } from './FinishCard.tsx';
import { Follows } from './Follows.tsx';
import { lookOfArt } from './looks.ts';
import { Palette } from './Palette.tsx';
import { BARE, Tray } from './Tray.tsx';
import { WornList } from './WornList.tsx';

/** What a touch on a part dresses. */
const touchedAt = (scope: Scope, made: MadePiece, index: number, at: Vec3): WornAt | undefined => {
  const part = made.assembly.parts[index];
  if (!part) return undefined;
  switch (scope) {
    case 'piece':
      return { kind: 'piece' };
    case 'role':
      return { kind: 'role', role: part.role };
    case 'part':
      return { kind: 'part', part: part.id };
    case 'face':
      return { kind: 'face', part: part.id, face: faceAt(part, at) };
  }
};

/** The parts that a touch on one dresses, when it dresses whole parts. */
const reachOf = (scope: Scope, { assembly: { parts } }: MadePiece, touched: number): readonly number[] | null => {
  const all = parts.map((_, index) => index);
  switch (scope) {
    case 'piece':
      return all;
    case 'role':
      return all.filter((index) => parts[index]?.role === parts[touched]?.role);
    case 'part':
      return [touched];
    case 'face':
      return null;
  }
};

/** The looks of the set's finishes; each stays the same object until it changes, so that only what changed is drawn again. */
const useLooks = (): ReadonlyMap<string, Look> | null => {
  const { finishes, palette } = useSet();
  const scale = useScale();
  return useMemo(
    () => (scale ? new Map(finishes.map((finish) => [finish.id, lookOfArt(finish.art, palette, scale)])) : null),
    [finishes, palette, scale],
  );
};

/** Who wears what, and the piece dressed. */
export const CoveringsView = () => {
  const { pieces, finishes } = useSet();
  const { pieceId } = useParams();
  const piece: Piece | undefined = pieces.find(({ id }) => id === pieceId) ?? pieces[0];
  const derived = useDerivedPiece(piece?.id);
  const covering = useCovering(derived);
  const looks = useLooks();
  const edit = useEdit();
  const [hand, setHand] = useState<string | null>(null);
  const [scope, setScope] = useState<Scope>('face');
  const inHand = finishes.find(({ id }) => id === hand) ?? null;
  const made = derived?.made ?? null;
  const holds = hand === BARE || inHand !== null;
  const touch = (part: number, point: Vec3) => {
    const at = made && touchedAt(scope, made, part, point);
    if (!at || !piece || !made) return;
    const words = `${atWords(at, made.assembly.parts, made.tags)}: ${inHand?.name ?? 'bare'}`;
    edit(words, wearEdit(piece, at, { finish: inHand?.id ?? null, runs: 'as drawn', upTo: null }));
  };
  return (
    <Spread
      leftLabel="What you decide about coverings"
      rightLabel="The piece dressed"
      left={
        <div className="space-y-5">
          <PieceTickets current={piece?.id} view="coverings" />
          <header>
            <h1 className="text-title">Coverings</h1>
            <p className="text-graphite">which face wears what · what you decide</p>
          </header>
          <Tray hand={hand} onHand={setHand} />
          {holds && <Choice label="A touch on the model dresses" value={scope} options={SCOPES} onChange={setScope} />}
          {inHand && (
            <FinishCard key={inHand.id} finish={inHand} heightUm={made?.assembly.outside.max[1] ?? null} onGone={() => setHand(null)} />
          )}
          {piece && made && <WornList key={piece.id} piece={piece} made={made} />}
          <Palette />
          <Booklets />
        </div>
      }
      right={
        piece ? (
          <Follows
            piece={derived}
            covering={covering}
            looks={looks}
            inHand={inHand}
            onTouch={holds ? touch : undefined}
            reach={(part) => (made ? reachOf(scope, made, part) : null)}
          />
        ) : (
          <p className="font-hand text-graphite">There is nothing to dress yet: add a piece first.</p>
        )
      }
    />
  );
};
