import { fromPreset, PRESETS, type Preset } from '@parlor/core/piece';
import type { DerivedPiece, Piece } from '@parlor/core/set';
import { Search, Trash2 } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { api, type OwnPreset, useLook, useSet } from '../../state/index.ts';
import { Button, Choice, Sheet, StartTicket } from '../../ui/index.ts';

const KINDS = [
  { value: 'all', label: 'everything' },
  { value: 'storing', label: 'for storing' },
  { value: 'kitchen', label: 'kitchen' },
  { value: 'tables', label: 'tables' },
  { value: 'beds', label: 'beds' },
  { value: 'seats', label: 'seats' },
  { value: 'sticks', label: 'of sticks' },
  { value: 'round', label: 'round' },
  { value: 'shapes', label: 'shapes' },
  { value: 'walls', label: 'on walls' },
  { value: 'openings', label: 'doors and windows' },
  { value: 'shop', label: 'shop' },
  { value: 'rooms', label: 'rooms' },
  { value: 'paper', label: 'small goods' },
  { value: 'cloth', label: 'of cloth' },
  { value: 'odd', label: 'odd things' },
  { value: 'panels', label: 'free panels' },
  { value: 'yours', label: 'yours' },
] as const;
type Kind = (typeof KINDS)[number]['value'];

/** Something to start from: a preset that comes with the application, or one of the maker's own. */
type Start = {
  readonly key: string;
  readonly name: string;
  readonly hint: string;
  readonly words: string;
  readonly kind: Kind;
  readonly piece: Piece;
  readonly own: boolean;
};

const ofPreset = (preset: Preset): Start => ({ ...preset, piece: fromPreset(preset, preset.key, 1), own: false });
const ofOwn = ({ id, piece }: OwnPreset): Start => ({
  key: id,
  name: piece.name || 'without a name',
  hint: 'one of yours',
  words: piece.family,
  kind: 'yours',
  piece: { ...piece, id },
  own: true,
});

/** Every word that was typed must begin some word of the name, the hint or what else people call it. */
const finds = (start: Start, typed: string): boolean => {
  const words = `${start.name} ${start.hint} ${start.words}`.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  return typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
    .every((word) => words.some((each) => each.startsWith(word)));
};

const Ticket = ({
  start,
  look,
  onTake,
  onForget,
}: {
  readonly start: Start;
  readonly look: DerivedPiece | undefined;
  readonly onTake: () => void;
  readonly onForget: () => void;
}) => (
  <li className="relative">
    <StartTicket preset={start.key} name={start.name} hint={start.hint} look={look} onTake={onTake} />
    {start.own && (
      <Button
        look="quiet"
        className="absolute! right-1 top-1 px-2!"
        aria-label={`Forget ${start.name}`}
        title="Forget it; pieces begun from it stay"
        onClick={onForget}
      >
        <Trash2 size={15} />
      </Button>
    )}
  </li>
);

const useOwn = (open: boolean) => {
  const [own, setOwn] = useState<readonly OwnPreset[] | 'unreachable'>([]);
  useEffect(() => {
    let wanted = open;
    if (open) void api.presets().then((answer) => wanted && setOwn(answer.ok ? answer.value.presets : 'unreachable'));
    return () => {
      wanted = false;
    };
  }, [open]);
  const forget = async (id: string) => {
    const gone = await api.forgetPreset(id);
    if (gone.ok) setOwn((now) => (now === 'unreachable' ? now : now.filter((each) => each.id !== id)));
  };
  return { own, forget };
};

const SHIPPED: readonly Start[] = PRESETS.map(ofPreset);

/** What things to start from look like in this set. The maker's own are looked at apart, so that those that come with the application
 *  keep their pictures when hers arrive. */
const useLooks = (open: boolean, starts: readonly Start[]): ReadonlyMap<string, DerivedPiece> => {
  const set = useSet();
  const document = useMemo(
    () => (open && starts.length > 0 ? { ...set, pieces: starts.map(({ piece, key }) => ({ ...piece, id: key })) } : null),
    [open, set, starts],
  );
  const look = useLook(document);
  return useMemo(() => new Map(look && look !== 'failed' ? look.pieces.map((piece) => [piece.id, piece]) : []), [look]);
};

type Props = {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  /** What was chosen, and what it looks like in this set, where it is not the maker's own. */
  readonly onTake: (piece: Piece, look: DerivedPiece | 'own' | undefined) => void;
};

/** Everything a piece can be started from, as pictures drawn from the very presets at the set's scale and boards. */
export const Library = ({ open, onOpenChange, onTake }: Props) => {
  const [typed, setTyped] = useState('');
  const [kind, setKind] = useState<Kind>('all');
  const { own, forget } = useOwn(open);
  // Each time it is opened all of it is there, not what was looked for the last time.
  useEffect(() => {
    if (!open) return;
    setTyped('');
    setKind('all');
  }, [open]);
  const wanted = useDeferredValue(typed);
  const mine = useMemo(() => (own === 'unreachable' ? [] : own.map(ofOwn)), [own]);
  const starts = [...mine, ...SHIPPED];
  const looks = new Map([...useLooks(open, SHIPPED), ...useLooks(open, mine)]);
  const found = starts.filter((start) => (kind === 'all' || start.kind === kind) && finds(start, wanted));
  return (
    <Sheet title="What shall it be?" open={open} onOpenChange={onOpenChange} wide>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3 mb-4">
        <label className="relative flex-1 min-w-56">
          <span className="text-small text-graphite">what people call it</span>
          <Search size={16} className="absolute left-1 bottom-3.5 text-graphite" aria-hidden="true" />
          <input
            type="search"
            aria-label="What people call it"
            value={typed}
            maxLength={60}
            onChange={(event) => setTyped(event.target.value)}
            placeholder="dresser, sink, loft …"
            className="block w-full min-h-touch pl-7 bg-transparent font-hand text-lead border-b-2 border-dotted border-tab hover:border-moss"
          />
        </label>
        <Choice label="What it is" hideLabel value={kind} options={KINDS} onChange={setKind} />
      </div>
      {own === 'unreachable' && kind === 'yours' && (
        <p className="font-hand text-rose">Yours cannot be fetched just now; is the application running?</p>
      )}
      {found.length === 0 && (
        <p className="font-hand text-graphite py-6">
          {kind === 'yours' && wanted === ''
            ? 'None yet: any piece can be kept here to start others from.'
            : 'Nothing is called that here. A plain box or free panels can become it.'}
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(168px,1fr))] gap-3" aria-label="Pieces to start from" data-testid="library">
        {found.map((start) => (
          <Ticket
            key={start.key}
            start={start}
            look={looks.get(start.key)}
            onTake={() => onTake(start.piece, start.own ? 'own' : looks.get(start.key))}
            onForget={() => void forget(start.key)}
          />
        ))}
      </ul>
    </Sheet>
  );
};
