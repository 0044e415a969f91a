import { Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import { NavLink, useParams } from 'react-router';
import { nightTurned, redone, type SaveState, undone, useAppDispatch, useAppSelector } from '../state/index.ts';
import { Button, cx } from '../ui/index.ts';

const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  unsaved: 'not saved yet',
  saving: 'saving …',
  offline: 'offline, kept here',
  refused: 'not accepted, kept here',
  stale: 'two versions: choose',
};

const VIEWS = [
  { path: 'doll', label: 'Doll', codes: [] },
  {
    path: 'pieces',
    label: 'Pieces',
    codes: [
      'cannot-be-built',
      'shelf-gap-too-low',
      'tips-over',
      'thickness-off-scale',
      'parts-interfere',
      'does-not-close',
      'part-is-loose',
    ],
  },
  { path: 'cutting', label: 'Cutting', codes: ['part-larger-than-board'] },
  { path: 'printing', label: 'Printing', codes: [] },
] as const;

const tabLook = (active: boolean) =>
  cx(
    'flex items-center justify-between min-h-[54px] max-md:min-h-12 pl-4 pr-3 rounded-r-[12px] max-md:rounded-b-[10px] max-md:rounded-t-none text-[15px] font-semibold no-underline max-md:flex-1 max-md:justify-center max-md:px-2',
    active ? 'bg-leaf text-rose -ml-1.5 max-md:ml-0' : 'bg-tab text-ink hover:brightness-105',
  );

const Thumb = ({ to, label, count }: { readonly to: string; readonly label: string; readonly count: number }) => (
  <NavLink to={to} className={({ isActive }) => tabLook(isActive)} end={to === '/sets'}>
    {label}
    {count > 0 && (
      <span className="ml-1 min-w-6 h-6 px-1.5 grid place-items-center rounded-full bg-rose text-leaf text-[13px]">
        {count}
        <span className="sr-only"> notes</span>
      </span>
    )}
  </NavLink>
);

/** Undo, redo, how far things are saved, and the lamp. */
const Tools = () => {
  const dispatch = useAppDispatch();
  const { past, future, save, id } = useAppSelector((state) => state.openSet);
  const night = useAppSelector((state) => state.desk.night);
  const [back, forth] = [past.at(-1)?.words, future[0]?.words];
  return (
    <div className="mt-auto px-2 pb-2 max-md:hidden">
      {id && (
        <p
          role="status"
          data-save={save}
          className={cx(
            'font-hand text-[14px] text-center leading-tight mb-1.5',
            save === 'saved' || save === 'saving' ? 'text-ink' : 'text-rose',
          )}
        >
          {SAVE_WORDS[save]}
        </p>
      )}
      <div className="flex justify-center">
        <Button
          look="quiet"
          className="px-2.5!"
          disabled={!back}
          onClick={() => dispatch(undone())}
          aria-label={back ? `Undo: ${back}` : 'Nothing to undo'}
          title={back ? `Undo: ${back} (Ctrl Z)` : 'Nothing to undo'}
        >
          <Undo2 size={20} />
        </Button>
        <Button
          look="quiet"
          className="px-2.5!"
          disabled={!forth}
          onClick={() => dispatch(redone())}
          aria-label={forth ? `Redo: ${forth}` : 'Nothing to redo'}
          title={forth ? `Redo: ${forth} (Ctrl Shift Z)` : 'Nothing to redo'}
        >
          <Redo2 size={20} />
        </Button>
        <Button
          look="quiet"
          className="px-2.5!"
          onClick={() => dispatch(nightTurned(!night))}
          aria-pressed={night}
          aria-label="Night: the lamp is low"
          title="Night: the lamp is low"
        >
          {night ? <Sun size={20} /> : <Moon size={20} />}
        </Button>
      </div>
    </div>
  );
};

/** The thumb index at the outer edge, in the order of the work, with counts of margin notes. */
export const SideBoard = () => {
  const { setId } = useParams();
  const openId = useAppSelector((state) => state.openSet.id);
  const pieces = useAppSelector((state) => state.derived.set?.pieces);
  const id = setId ?? openId;
  const count = (codes: readonly string[]) =>
    (pieces ?? []).flatMap(({ findings }) => findings).filter(({ code, severity }) => severity !== 'note' && codes.includes(code)).length;
  return (
    <div className="w-[136px] pt-4 flex flex-col max-md:w-auto max-md:pt-0">
      <nav aria-label="The way through the work" className="flex flex-col gap-2 pr-2.5 max-md:flex-row max-md:gap-1 max-md:px-1">
        <Thumb to="/sets" label="Sets" count={0} />
        {id &&
          VIEWS.map(({ path, label, codes }) => (
            <Thumb key={path} to={`/sets/${id}/${path}`} label={label} count={setId ? count(codes) : 0} />
          ))}
      </nav>
      <Tools />
    </div>
  );
};
