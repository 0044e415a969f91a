import type { Scale } from '@parlor/core/measure';
import { type Field, type Piece, shownFields, withValueAt } from '@parlor/core/piece';
import type { PieceChange } from '@parlor/core/set';
import type { ReactNode } from 'react';
import { useDerivedPiece } from '../../state/index.ts';
import { Decision } from '../../ui/index.ts';

type Group = Field['group'];

type Props<P extends Piece> = {
  readonly piece: P;
  readonly scale: Scale;
  /** Groups that are folded away, with what stands after their fields. */
  readonly folded: readonly (readonly [group: Group, title: string, more?: ReactNode])[];
  /** Between the sizes and what is folded away. */
  readonly children?: ReactNode;
  readonly onChange: (words: string, change: PieceChange) => void;
};

/** What is decided about a small good: its sizes in sight, the rest under the titles of its groups. */
export const Fields = <P extends Piece>({ piece, scale, folded, children, onChange }: Props<P>) => {
  const change = (words: string, path: readonly string[], value: unknown): void => {
    const key = path[0] as keyof P;
    onChange(`${words} of ${piece.name}`, { [key]: withValueAt(piece, path, value)[key] } as PieceChange);
  };
  const shown = shownFields(piece, useDerivedPiece(piece.id)?.made?.roles);
  const drawn = (group: Group) =>
    shown
      .filter((field) => field.group === group)
      .map((field) => <Decision key={`${field.label}`} field={field} owner={piece} scale={scale} onChange={change} />);
  return (
    <>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">
        {drawn('size')}
        {drawn('fittings')}
      </div>
      {children}
      {folded.map(([group, title, more]) =>
        shown.some((field) => field.group === group) ? (
          <details key={group} className="mt-1" data-group={group}>
            <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">{title}</summary>
            <div className="grid grid-cols-2 gap-x-6 gap-y-3 pb-2 items-start">
              {drawn(group)}
              {more}
            </div>
          </details>
        ) : null,
      )}
    </>
  );
};
