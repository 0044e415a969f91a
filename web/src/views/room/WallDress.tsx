import { withWear } from '@parlor/core/cover';
import { type RoomSide, shownOn } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useEdit, useSet } from '../../state/index.ts';
import { Picker } from '../../ui/index.ts';

const named = (wall: string): string => (/^wall \d/.test(wall) ? `W${wall.slice(1)}` : `The ${wall}`);

/** What one wall wears on the face that looks into the room, of the set's own papers and colours. */
export const WallDress = ({ arranged, side }: { readonly arranged: Arranged; readonly side: RoomSide }) => {
  const { finishes } = useSet();
  const { setId } = useParams();
  const edit = useEdit();
  const { room, space } = arranged;
  const boards = useMemo(() => shownOn(space, side), [space, side]);
  const worn = room.dress.wears.find(({ at }) => at.kind === 'face' && at.face === 'front' && boards.includes(at.part));
  const link = (
    <Link to={`/sets/${setId}/coverings/${room.id}`} className="underline underline-offset-4">
      coverings
    </Link>
  );
  if (finishes.length === 0)
    return <p className="text-note text-graphite">Papers and colours are made among the {link}; then this wall can wear one.</p>;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <div className="w-60">
        <Picker
          label={`${named(side.name)} wears`}
          value={worn ? (worn.finish ?? 'bare') : ''}
          options={[
            { value: '', label: 'what the room wears' },
            { value: 'bare', label: 'bare board' },
            ...finishes.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(value) => {
            const wear =
              value === ''
                ? undefined
                : ({ finish: value === 'bare' ? null : value, runs: worn?.runs ?? 'as drawn', upTo: worn?.upTo ?? null } as const);
            const dress = boards.reduce((now, part) => withWear(now, { kind: 'face', part, face: 'front' }, wear), room.dress);
            edit(`what the ${side.name} of ${room.name} wears`, { kind: 'change-piece', id: room.id, change: { dress } });
          }}
        />
      </div>
      <p className="text-note text-graphite pb-2">More about it among the {link}.</p>
    </div>
  );
};
