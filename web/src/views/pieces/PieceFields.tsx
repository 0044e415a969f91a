import { showLength, UM } from '@parlor/core/measure';
import type { BoardRole } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import { thicknessOf } from '@parlor/core/stock';
import { useEdit, useSet } from '../../state/index.ts';
import { BackHelp, Choice, CornerHelp, HoldHelp, Picker, SizeField } from '../../ui/index.ts';

const HOLD = [
  { value: 'outside', label: 'outside' },
  { value: 'inside', label: 'inside' },
] as const;
const CORNER = [
  { value: 'sides', label: 'sides' },
  { value: 'top', label: 'top' },
] as const;
const BACK = [
  { value: 'inset', label: 'between' },
  { value: 'over', label: 'behind' },
  { value: 'none', label: 'none' },
] as const;
const STANDING = [
  { value: 'free', label: 'free' },
  { value: 'fixed to the wall', label: 'fixed to the wall' },
] as const;

const ROLE_WORDS: Readonly<Record<BoardRole, string>> = {
  carcass: 'Board',
  back: 'Board of the back',
  inner: 'Board of shelves',
  door: 'Board of doors',
  plinth: 'Board of the plinth',
};

const useChange = (piece: Piece) => {
  const edit = useEdit();
  return (words: string, change: Partial<Piece>) => edit(`${words} of ${piece.name}`, { kind: 'change-piece', id: piece.id, change });
};

const BoardPicker = ({ piece, role }: { readonly piece: Piece; readonly role: BoardRole }) => {
  const { boards, units } = useSet();
  const change = useChange(piece);
  const same = role === 'carcass' ? [] : [{ value: '', label: 'the same' }];
  const value = piece.boards[role] ?? (role === 'carcass' ? (boards[0]?.id ?? '') : '');
  return (
    <Picker
      label={ROLE_WORDS[role]}
      value={value}
      options={[
        ...same,
        ...boards.map((board) => ({
          value: board.id,
          label: `${board.name}, ${showLength(thicknessOf(board), { ...units, fine: true })}`,
        })),
      ]}
      onChange={(id) => change(ROLE_WORDS[role].toLowerCase(), { boards: { ...piece.boards, [role]: id === '' ? null : id } })}
    />
  );
};

/** What is decided about the piece as a whole. */
export const PieceFields = ({ piece, drawn }: { readonly piece: Piece; readonly drawn: boolean }) => {
  const change = useChange(piece);
  const size = (field: 'width' | 'height' | 'depth' | 'plinth' | 'setback', label: string, min = 10 * UM.mm) => (
    <SizeField
      label={label}
      world="real"
      lengthUm={piece[field]}
      min={min}
      max={10 * UM.m}
      onChange={(value) => change(label.toLowerCase(), { [field]: value })}
    />
  );
  const clear = piece.hold === 'inside' ? 'Clear ' : '';
  const named = (word: string) => (clear ? `${clear}${word}` : `${word[0]?.toUpperCase()}${word.slice(1)}`);
  return (
    <div className="mt-3">
      <div className="grid grid-cols-[1fr_auto_1.3fr] gap-x-5 gap-y-2 items-start">
        {!drawn && <div>{size('width', named('width'))}</div>}
        {!drawn && <div className="col-span-2">{size('height', named('height'))}</div>}
        {size('depth', named('depth'))}
        <Choice
          label="Hold true"
          help={<HoldHelp />}
          value={piece.hold}
          options={HOLD}
          onChange={(hold) => change('what is held true', { hold })}
        />
        <BoardPicker piece={piece} role="carcass" />
      </div>
      <details className="mt-1">
        <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
          How it is built: corners, back, plinth, boards, standing
        </summary>
        <div className="grid grid-cols-2 gap-x-6 gap-y-3 pb-2">
          <Choice
            label="Which panel runs over"
            help={<CornerHelp />}
            value={piece.corner}
            options={CORNER}
            onChange={(corner) => change('which panel runs over', { corner })}
            hint={
              piece.corner === 'sides'
                ? 'Sides go from the floor to the top; what lies between them is shorter.'
                : 'Top and bottom go across; the sides stand between them.'
            }
          />
          <Choice
            label="The back"
            help={<BackHelp />}
            value={piece.back}
            options={BACK}
            onChange={(back) => change('the back', { back })}
          />
          {size('plinth', 'Plinth', 0)}
          {size('setback', 'Plinth stands back', 0)}
          {(['back', 'inner', 'door', 'plinth'] as const).map((role) => (
            <BoardPicker key={role} piece={piece} role={role} />
          ))}
          <Choice
            label="It stands"
            value={piece.standing}
            options={STANDING}
            onChange={(standing) => change('how it stands', { standing })}
          />
        </div>
      </details>
    </div>
  );
};
