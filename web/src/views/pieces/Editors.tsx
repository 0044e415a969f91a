import type { Scale } from '@parlor/core/measure';
import { type Editor, editorsOf, type Field } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import type { ComponentType } from 'react';
import { Link, useParams } from 'react-router';
import { FreePanels } from './FreePanels.tsx';
import { Holes } from './Holes.tsx';
import { Openings } from './Openings.tsx';
import { OutlineEditor } from './OutlineEditor.tsx';
import { Sections } from './Sections.tsx';
import { StackLayers } from './StackLayers.tsx';

const ToTheRoom = ({ piece }: { readonly piece: Piece }) => {
  const { setId } = useParams();
  return (
    <p className="mt-2">
      Its walls, and what stands in it, are decided in the{' '}
      <Link to={`/sets/${setId}/room/${piece.id}`} className="underline underline-offset-4">
        room
      </Link>
      .
    </p>
  );
};

/** Each takes pieces of the family that names it, and is given no others. */
const EDITORS: { readonly [E in Editor]: ComponentType<{ readonly piece: never; readonly scale: Scale }> } = {
  walls: ToTheRoom,
  panels: FreePanels,
  sections: Sections,
  outline: OutlineEditor,
  layers: StackLayers,
  openings: Openings,
  holes: Holes,
};

type Props = { readonly piece: Piece; readonly scale: Scale; readonly group: Field['group'] };

/** What a piece is edited by beside a group of its fields. */
export const Editors = ({ piece, scale, group }: Props) =>
  editorsOf(piece, group).map((name) => {
    const Each = EDITORS[name];
    return <Each key={name} piece={piece as never} scale={scale} />;
  });
