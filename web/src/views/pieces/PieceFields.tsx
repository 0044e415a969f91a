import { type Field, groupOf, type SizeMark, shownFields } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import { useDerivedPiece, useScale } from '../../state/index.ts';
import type { SightName } from '../../ui/index.ts';
import { Decision } from '../../ui/index.ts';
import { Editors } from './Editors.tsx';
import { markField, overallOn } from './overall.ts';
import { useChangePiece } from './useChangePiece.ts';

const GROUPS: readonly (readonly [Field['group'], string])[] = [
  ['shape', 'Its shape'],
  ['build', 'How it is built'],
  ['fittings', 'What belongs to it'],
  ['boards', 'Boards, and how thick they are glued up'],
];

type Props = { readonly piece: Piece; readonly sight: SightName | null; readonly marks: readonly SizeMark[] };

/** What is decided about the piece as a whole. Sizes that stand on the drawing are left out here. */
export const PieceFields = ({ piece, sight, marks }: Props) => {
  const scale = useScale();
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
      <Editors piece={piece} scale={scale} group="size" />
      {GROUPS.map(([group, title]) => {
        const fields = shown.filter((field) => field.group === group);
        if (fields.length === 0) return null;
        return (
          <details key={group} className="mt-1" open={group === 'shape'} data-group={group}>
            <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
              {groupOf(piece, group) ?? title}
            </summary>
            <div className="grid grid-cols-2 gap-x-6 gap-y-3 pb-2 items-start">
              {drawn(fields)}
              <Editors piece={piece} scale={scale} group={group} />
            </div>
          </details>
        );
      })}
    </div>
  );
};
