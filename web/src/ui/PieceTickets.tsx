import { hasBoards, isSmall } from '@parlor/core/piece';
import { useEffect, useRef } from 'react';
import { NavLink, useParams } from 'react-router';
import { useSet } from '../state/index.ts';
import { cx } from './cx.ts';

type Props = { readonly current: string | undefined; readonly view: 'pieces' | 'coverings' | 'goods'; readonly onTurn?: () => void };

/** The pieces of the set as tickets, with their marks; the one that lies open is always in sight. */
export const PieceTickets = ({ current, view, onTurn }: Props) => {
  const { pieces } = useSet();
  // Small goods have a page of their own; those with boards in them are covered as pieces are.
  const shown = (piece: (typeof pieces)[number]): boolean =>
    piece.id === current ||
    (isSmall(piece) ? view === 'goods' || (view === 'coverings' && 'fills' in piece && hasBoards(piece)) : view !== 'goods');
  const { setId } = useParams();
  const strip = useRef<HTMLElement>(null);
  useEffect(() => {
    // With the frame, whose layout is made then in any case; to ask at once would have it made twice.
    const asked = requestAnimationFrame(() => {
      const ticket = current && strip.current?.querySelector<HTMLElement>('[aria-current="page"]');
      if (ticket && strip.current) strip.current.scrollLeft = ticket.offsetLeft - strip.current.offsetLeft - 40;
    });
    return () => cancelAnimationFrame(asked);
  }, [current]);
  return (
    <nav
      ref={strip}
      aria-label={view === 'goods' ? 'Small goods of this set' : 'Pieces of this set'}
      className="flex gap-1.5 overflow-x-auto p-1 pr-6 min-w-0 [mask-image:linear-gradient(to_right,black_calc(100%-28px),transparent)]"
    >
      {pieces.filter(shown).map((piece) => (
        <NavLink
          key={piece.id}
          to={`/sets/${setId}/${view}/${piece.id}`}
          onClick={onTurn}
          aria-current={piece.id === current ? 'page' : undefined}
          title={piece.name}
          className={cx(
            'shrink-0 min-h-touch flex items-center gap-1.5 px-3 rounded-slip border text-note max-w-44',
            piece.id === current ? 'bg-leaf border-rose text-rose font-semibold' : 'border-dashed border-tab hover:bg-oat',
          )}
        >
          <span className="font-hand">{piece.mark}</span>
          <span className="truncate">{piece.name || 'no name yet'}</span>
        </NavLink>
      ))}
    </nav>
  );
};
