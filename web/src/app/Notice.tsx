import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { api, noticed, useAppDispatch, useAppSelector } from '../state/index.ts';
import { Button } from '../ui/index.ts';

/** What can be taken back stays longer than what only tells. */
const STAYS = { acting: 12_000, telling: 6_000 };

/** A slip of paper that says what was done, and how to take it back; it goes away by itself, and what lies under it can be pressed through it. */
export const Notice = () => {
  const notice = useAppSelector((state) => state.ui.notice);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  useEffect(() => {
    if (!notice) return undefined;
    const timer = setTimeout(() => dispatch(noticed(null)), notice.action ? STAYS.acting : STAYS.telling);
    return () => clearTimeout(timer);
  }, [notice, dispatch]);
  const restore = async (id: string) => {
    if ((await api.restore(id)).ok) {
      dispatch(noticed(null));
      await navigate('/sets', { state: { again: id } });
    }
  };
  return (
    <div role="status" className="fixed left-6 bottom-24 z-30 pointer-events-none">
      {notice && (
        <div className="bg-ink text-paper rounded-soft pl-5 pr-2 py-2 flex items-center gap-3 shadow-slip font-hand text-lead">
          {notice.text}
          {notice.action && (
            <Button
              look="quiet"
              className="pointer-events-auto text-paper! underline hover:text-ink!"
              onClick={() => notice.action && void restore(notice.action.restore)}
            >
              {notice.action.label}
            </Button>
          )}
          <Button
            look="quiet"
            className="pointer-events-auto text-paper! px-3! hover:text-ink!"
            aria-label="Put this slip away"
            onClick={() => dispatch(noticed(null))}
          >
            ✕
          </Button>
        </div>
      )}
    </div>
  );
};
