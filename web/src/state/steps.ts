// Undo and redo for hand and keyboard alike: what is taken back or done again is said in words.

import { redone, undone } from './openSet.ts';
import { store } from './store.ts';
import { noticed } from './uiSlice.ts';

const say = (text: string): void => {
  store.dispatch(noticed({ text, action: null }));
};

/** Takes the last step back. */
export const undoStep = (): void => {
  const step = store.getState().openSet.past.at(-1);
  if (step) store.dispatch(undone());
  say(step ? `Taken back: ${step.words}` : 'There is nothing to take back.');
};

/** Does the step again that was taken back last. */
export const redoStep = (): void => {
  const [step] = store.getState().openSet.future;
  if (step) store.dispatch(redone());
  say(step ? `Done again: ${step.words}` : 'There is nothing to do again.');
};
