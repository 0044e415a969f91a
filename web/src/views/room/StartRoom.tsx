import { fromPreset, PRESETS } from '@parlor/core/piece';
import { MOST_PIECES, type Piece } from '@parlor/core/set';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useEdit, useLook, useSet } from '../../state/index.ts';
import { StartTicket } from '../../ui/index.ts';

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
        const seen = look && look !== 'failed' ? look.pieces.find(({ id }) => id === key) : undefined;
        return (
          <li key={key}>
            <StartTicket
              preset={key}
              name={name}
              hint={hint}
              look={seen}
              disabled={set.pieces.length >= MOST_PIECES}
              onTake={() => take(piece)}
            />
          </li>
        );
      })}
    </ul>
  );
};
