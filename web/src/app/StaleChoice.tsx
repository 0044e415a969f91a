import { useNavigate } from 'react-router';
import { api, closed, forget, useAppDispatch, useAppSelector } from '../state/index.ts';
import { Button } from '../ui/index.ts';

/** Somebody saved this set elsewhere in the meantime: keep both, or take theirs. Until the maker has chosen, nothing is overwritten. */
export const StaleChoice = () => {
  const { save, id, document } = useAppSelector((state) => state.openSet);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  if (save !== 'stale' || !id || !document) return null;
  const keepBoth = async () => {
    const made = await api.create({ ...document, name: `${document.name} (my copy)` });
    if (!made.ok) return;
    forget(id);
    dispatch(closed());
    await navigate(`/sets/${made.value.id}/pieces`);
  };
  const takeTheirs = () => {
    forget(id);
    dispatch(closed());
  };
  return (
    <div role="alert" className="mb-3 mr-4 p-4 rounded-soft bg-leaf border-l-4 border-rose flex flex-wrap items-center gap-3">
      <p className="flex-1 min-w-64">
        <strong>This set was saved on another page meanwhile.</strong> What you changed here is kept in this browser until you choose.
      </p>
      <Button look="main" onClick={() => void keepBoth()}>
        Keep mine as a copy
      </Button>
      <Button onClick={takeTheirs}>Take the saved one</Button>
    </div>
  );
};
