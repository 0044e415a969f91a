import { fromPreset, PRESETS } from '@parlor/core/piece';
import { type DerivedPiece, MOST_PIECES, type Piece } from '@parlor/core/set';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useBegin, useLook, useSet } from '../../state/index.ts';
import { StartTicket } from '../../ui/index.ts';

const ROOMS = PRESETS.filter(({ kind }) => kind === 'rooms').map((preset) => ({ ...preset, piece: fromPreset(preset, preset.key, 1) }));

/** Shells to start from, drawn from themselves at the set's scale. */
export const StartRoom = ({ onTaken }: { readonly onTaken?: () => void }) => {
  const set = useSet();
  const { setId } = useParams();
  const begin = useBegin();
  const navigate = useNavigate();
  const document = useMemo(() => ({ ...set, name: 'rooms', company: [], layouts: [], pieces: ROOMS.map(({ piece }) => piece) }), [set]);
  const look = useLook(document);
  const take = async (from: Piece, seen: DerivedPiece | undefined): Promise<void> => {
    const piece = await begin(from, seen);
    if (!piece) return;
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
              onTake={() => void take(piece, seen)}
            />
          </li>
        );
      })}
    </ul>
  );
};
