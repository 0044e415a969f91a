import { type Field, type SizeMark, shownFields } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import { Link, useParams } from 'react-router';
import { useDerivedPiece, useScale } from '../../state/index.ts';
import type { SightName } from '../../ui/index.ts';
import { Decision } from '../../ui/index.ts';
import { FreePanels } from './FreePanels.tsx';
import { Holes } from './Holes.tsx';
import { Openings } from './Openings.tsx';
import { OutlineEditor } from './OutlineEditor.tsx';
import { markField, overallOn } from './overall.ts';
import { Sections } from './Sections.tsx';
import { StackLayers } from './StackLayers.tsx';
import { useChangePiece } from './useChangePiece.ts';

const GROUPS: readonly (readonly [Field['group'], (piece: Piece) => string])[] = [
  ['shape', () => 'Its shape'],
  ['build', (piece) => (piece.family === 'casework' ? 'How it is built: corners, back, base, standing' : 'How it is built')],
  ['fittings', (piece) => (piece.family === 'casework' ? 'Worktop, frame, double walls, lamps' : 'What belongs to it')],
  ['boards', () => 'Boards, and how thick they are glued up'],
];

type Props = { readonly piece: Piece; readonly sight: SightName | null; readonly marks: readonly SizeMark[] };

/** What is decided about the piece as a whole. Sizes that stand on the drawing are left out here. */
export const PieceFields = ({ piece, sight, marks }: Props) => {
  const scale = useScale();
  const { setId } = useParams();
  const change = useChangePiece(piece);
  const roles = useDerivedPiece(piece.id)?.made?.roles;
  if (!scale) return null;
  const pencilled = marks.flatMap((mark) => (mark.sight === sight ? (markField(piece, mark.path) ?? []) : []));
  const onDrawing = sight ? [...overallOn(piece, sight).map(({ field }) => field), ...pencilled] : [];
  const shown = shownFields(piece, roles).filter((field) => !onDrawing.includes(field));
  const drawn = (fields: readonly Field[]) =>
    fields.map((field) => (
      <Decision key={`${field.path.join('.')} ${field.kind.kind}`} field={field} owner={piece} scale={scale} onChange={change} />
    ));
  return (
    <div className="mt-3">
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">{drawn(shown.filter(({ group }) => group === 'size'))}</div>
      {piece.family === 'room' && (
        <p className="mt-2">
          Its walls, and what stands in it, are decided in the{' '}
          <Link to={`/sets/${setId}/room/${piece.id}`} className="underline underline-offset-4">
            room
          </Link>
          .
        </p>
      )}
      {piece.family === 'panels' && <FreePanels piece={piece} scale={scale} />}
      {piece.family === 'round' && <Sections piece={piece} scale={scale} />}
      {piece.family === 'stack' && (
        <>
          <OutlineEditor piece={piece} scale={scale} />
          <StackLayers piece={piece} scale={scale} />
        </>
      )}
      {GROUPS.map(([group, title]) => {
        const fields = shown.filter((field) => field.group === group);
        if (fields.length === 0) return null;
        return (
          <details key={group} className="mt-1" open={group === 'shape'} data-group={group}>
            <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
              {title(piece)}
            </summary>
            <div className="grid grid-cols-2 gap-x-6 gap-y-3 pb-2 items-start">
              {drawn(fields)}
              {group === 'fittings' && piece.family === 'casework' && (
                <>
                  <Openings piece={piece} scale={scale} />
                  <Holes piece={piece} scale={scale} />
                </>
              )}
            </div>
          </details>
        );
      })}
    </div>
  );
};
