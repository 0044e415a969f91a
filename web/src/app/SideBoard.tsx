import { Keyboard, Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import { NavLink, useLocation, useParams } from 'react-router';
import { nightTurned, redoStep, rememberNight, undoStep, useAppDispatch, useAppSelector } from '../state/index.ts';
import { Button, cx } from '../ui/index.ts';
import { SaveLine } from './SaveLine.tsx';
import { useCounts } from './useCounts.ts';
import { SET_VIEWS } from './views.ts';

const tabLook = (active: boolean) =>
  cx(
    'relative flex items-center justify-between min-h-[54px] max-md:min-h-12 pl-4 pr-3 rounded-r-leaf max-md:rounded-b-soft max-md:rounded-t-none text-body font-semibold no-underline max-md:flex-auto max-md:shrink-0 max-md:justify-center max-md:px-2 max-md:text-note',
    active ? 'bg-leaf text-rose -ml-1.5 max-md:ml-0' : 'bg-tab text-ink hover:brightness-105',
  );

const Thumb = ({ to, label, count }: { readonly to: string; readonly label: string; readonly count: number }) => (
  <NavLink to={to} className={({ isActive }) => tabLook(isActive)} end={to === '/sets'}>
    {label}
    {count > 0 && (
      <span className="ml-1 min-w-6 h-6 px-1.5 grid place-items-center rounded-full bg-rose text-leaf text-small">
        {count}
        <span className="sr-only"> notes</span>
      </span>
    )}
  </NavLink>
);

const Tool = ({ words, keys, ...rest }: { readonly words: string; readonly keys?: string } & Parameters<typeof Button>[0]) => (
  <Button look="quiet" className="px-0! size-11" aria-label={words} title={keys ? `${words} (${keys})` : words} {...rest} />
);

/** Undo, redo, how far things are saved, the lamp, and the sheet of keys. */
const Tools = ({ onKeys }: { readonly onKeys: () => void }) => {
  const dispatch = useAppDispatch();
  const { past, future } = useAppSelector((state) => state.openSet);
  const night = useAppSelector((state) => state.ui.night);
  const [back, forth] = [past.at(-1)?.words, future[0]?.words];
  const turn = () => {
    dispatch(nightTurned(!night));
    rememberNight(!night);
  };
  return (
    <div className="mt-auto px-2 pb-2 max-md:mt-0 max-md:flex max-md:items-center max-md:justify-between max-md:px-3 max-md:pb-1">
      <SaveLine className="text-center mb-1 max-md:text-left max-md:mb-0 max-md:flex max-md:gap-3 max-md:items-center" />
      <div className="grid grid-cols-[44px_44px] justify-center max-md:flex">
        <Tool words={back ? `Undo: ${back}` : 'Nothing to undo'} keys="Ctrl Z" disabled={!back} onClick={undoStep}>
          <Undo2 size={20} />
        </Tool>
        <Tool words={forth ? `Redo: ${forth}` : 'Nothing to redo'} keys="Ctrl Shift Z" disabled={!forth} onClick={redoStep}>
          <Redo2 size={20} />
        </Tool>
        <Tool words="Night: the lamp is low" aria-pressed={night} onClick={turn}>
          {night ? <Sun size={20} /> : <Moon size={20} />}
        </Tool>
        <Tool words="All keys on one sheet" keys="Ctrl /" onClick={onKeys}>
          <Keyboard size={20} />
        </Tool>
      </div>
    </div>
  );
};

/** The thumb index at the outer edge, in the order of the work, with counts of margin notes. */
export const SideBoard = ({ onKeys }: { readonly onKeys: () => void }) => {
  const { setId, pieceId } = useParams();
  const [, , , view] = useLocation().pathname.split('/');
  // The piece in hand stays in hand from one view of pieces to the other; a small good has views of its own.
  const held = pieceId && view !== 'goods' ? `/${pieceId}` : '';
  const openId = useAppSelector((state) => state.openSet.id);
  const id = setId ?? openId;
  const counts = useCounts();
  return (
    <div className="w-[136px] pt-4 flex flex-col max-md:w-auto max-md:pt-0 max-md:flex-col-reverse">
      <nav
        aria-label="The way through the work"
        className="flex flex-col gap-2 pr-2.5 max-md:flex-row max-md:gap-1 max-md:px-1 max-md:overflow-x-auto"
      >
        <Thumb to="/sets" label="Sets" count={0} />
        {id &&
          SET_VIEWS.map(({ path, label }) => (
            <Thumb
              key={path}
              to={`/sets/${id}/${path}${path === 'pieces' || path === 'coverings' ? held : ''}`}
              label={label}
              count={setId ? (counts.get(path) ?? 0) : 0}
            />
          ))}
      </nav>
      <Tools onKeys={onKeys} />
    </div>
  );
};
