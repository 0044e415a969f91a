import { useEffect } from 'react';
import { redone, undone, useAppDispatch } from '../state/index.ts';

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.value !== target.defaultValue && document.activeElement === target;

/** Ctrl or ⌘ with Z undoes, with Shift Z or Y does again; inside a field that is being typed in, the field's own undo is left alone. */
export const useShortcuts = (): void => {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || typing(event.target)) return;
      const key = event.key.toLowerCase();
      const again = key === 'y' || (key === 'z' && event.shiftKey);
      if (key !== 'z' && !again) return;
      event.preventDefault();
      dispatch(again ? redone() : undone());
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch]);
};
