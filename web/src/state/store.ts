import { configureStore, createListenerMiddleware, isAnyOf, type TypedStartListening } from '@reduxjs/toolkit';
import { setAutoFreeze } from 'immer';
import { useDispatch, useSelector } from 'react-redux';
import { whenLocked } from './api.ts';
import { derivedReducer } from './derivedSlice.ts';
import { broughtTogether, edited, opened, openSetReducer, redone, undone } from './openSet.ts';
import { doorClosed, uiReducer } from './uiSlice.ts';

// Documents and derived sets are large, and readonly by their types; to freeze each by hand takes longer than some of the work on them.
setAutoFreeze(false);

const listener = createListenerMiddleware();

export const store = configureStore({
  reducer: { openSet: openSetReducer, derived: derivedReducer, ui: uiReducer },
  // Documents and derived sets are large and never written to; checking every one on every action would cost more than the work.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).prepend(listener.middleware),
});

whenLocked(() => store.dispatch(doorClosed()));

export type State = ReturnType<typeof store.getState>;
export type Dispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<Dispatch>();
export const useAppSelector = useSelector.withTypes<State>();

export const listen = listener.startListening as TypedStartListening<State, Dispatch>;

/** Everything after which the document may be another one. */
export const changes = isAnyOf(opened, edited, undone, redone, broughtTogether);
