import { showLength } from '@parlor/core/measure';
import type { Arranged } from '@parlor/core/set';
import { useSet, useUnits } from '../../state/index.ts';

/** What is to be known of one wall: where its boards meet and what hides that, how its wire runs. */
export const OnTheWall = ({ arranged, side }: { readonly arranged: Arranged; readonly side: number }) => {
  const { pieces } = useSet();
  const units = useUnits();
  const seams = arranged.seams.filter((seam) => seam.side === side);
  const wire = arranged.space.sides[side]?.wire;
  const nameOf = (id: string): string => pieces.find((piece) => piece.id === id)?.name ?? '';
  const hidden = (behind: readonly string[], seen: number): string => {
    if (seen === 0) return behind.length > 0 ? `hidden by ${behind.map(nameOf).join(', ')}` : 'under a strip';
    const rest = `${showLength(seen, units)} of it in sight`;
    return behind.length > 0 ? `${rest}, the rest behind ${behind.map(nameOf).join(', ')}` : rest;
  };
  if (seams.length === 0 && !wire) return null;
  return (
    <ul className="text-note space-y-1" aria-label="On this wall" data-testid="on-the-wall">
      {seams.map((seam) => (
        <li key={`${seam.stands} ${seam.at} ${seam.from}`}>
          Joint{' '}
          {seam.stands ? `${showLength(Math.round(seam.at), units)} from its left end` : `${showLength(Math.round(seam.at), units)} up`}:{' '}
          <span className={seam.seen > 0 ? 'text-rose' : 'text-moss'}>{hidden(seam.behind, seam.seen)}</span>.
        </li>
      ))}
      {wire && (
        <li>
          Wire behind it: {showLength(wire.length, units)} with what is left over at {wire.box ? 'the battery box' : 'its foot'}. Lights
          only on batteries; let the cells be taken out when nobody is there.
        </li>
      )}
    </ul>
  );
};
