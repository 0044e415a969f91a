import { fromPreset, PRESETS } from '@parlor/core/piece';
import { MOST_PIECES, type Piece } from '@parlor/core/set';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useEdit, useLook, useSet } from '../../state/index.ts';
import { PiecePicture } from '../../ui/index.ts';

const ROOMS = PRESETS.filter(({ kind }) => kind === 'rooms').map((preset) => ({ ...preset, piece: fromPreset(preset, preset.key, 1) }));

/** Shells to start from, drawn from themselves at the set's scale. */
export const StartRoom = ({ onTaken }: { readonly onTaken?: () => void }) => {
  const set = useSet();
  const { setId } = useParams();
  const edit = useEdit();
  const navigate = useNavigate();
  const document = useMemo(() => ({ ...set, name: 'rooms', company: [], layouts: [], pieces: ROOMS.map(({ piece }) => piece) }), [set]);
  const look = useLook(document);
  const take = (from: Piece): void => {
    const piece: Piece = { ...from, id: crypto.randomUUID(), mark: Math.max(0, ...set.pieces.map(({ mark }) => mark)) + 1 };
    edit(`${piece.name} added`, { kind: 'add-piece', at: set.pieces.length, piece });
    onTaken?.();
    void navigate(`/sets/${setId}/room/${piece.id}`);
  };
  return (
    <ul className="grid grid-cols-3 max-lg:grid-cols-2 gap-3" aria-label="Rooms to start from">
      {ROOMS.map(({ key, name, hint, piece }) => {
        const made = look && look !== 'failed' ? look.pieces.find(({ id }) => id === key)?.made : null;
        return (
          <li key={key}>
            <button
              type="button"
              data-preset={key}
              disabled={set.pieces.length >= MOST_PIECES}
              onClick={() => take(piece)}
              className="w-full h-full text-left rounded-soft border border-tab bg-paper hover:border-moss hover:bg-sprig/40 p-2.5 flex flex-col"
            >
              <span className="block h-24 w-full">{made && <PiecePicture parts={made.assembly.parts} label={name} />}</span>
              <span className="font-name text-body font-semibold leading-tight mt-1.5">{name}</span>
              <span className="text-small text-graphite leading-snug">{hint}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
};
