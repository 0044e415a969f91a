import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { noticed, redoStep, undoStep, useAppDispatch } from '../state/index.ts';
import { pageBeside } from './views.ts';

/** A field that is being typed in has an undo of its own. */
const typing = (target: EventTarget | null): boolean =>
  (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) &&
  target.dataset['typed'] === 'true' &&
  document.activeElement === target;

/** The keys that work everywhere. All of them are pressed with Ctrl, ⌘ or Alt, so that no letter of a word does anything. */
export const useShortcuts = (showKeys: () => void): void => {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  useEffect(() => {
    const undoOrRedo = (event: KeyboardEvent, key: string) => {
      if (typing(event.target)) return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redoStep();
      else undoStep();
    };
    const withControl = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (key === 'z' || key === 'y') return undoOrRedo(event, key);
      if (key === 's') {
        event.preventDefault();
        dispatch(noticed({ text: 'It is saved by itself, half a second after every change.', action: null }));
      }
      if (key === '/' || key === '?') {
        event.preventDefault();
        showKeys();
      }
    };
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && !event.altKey) withControl(event);
      const turn = event.altKey && !event.ctrlKey ? ({ PageDown: 1, PageUp: -1 } as const)[event.key] : undefined;
      if (turn === undefined) return;
      event.preventDefault();
      void navigate(pageBeside(pathname, turn));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch, navigate, pathname, showKeys]);
};
