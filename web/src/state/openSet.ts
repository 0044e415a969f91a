import { applyEdit, type Edit, type SetDocument } from '@parlor/core/set';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** One step of work: what it is in words, and the edits that take it back and do it again. */
type Step = { readonly words: string; readonly undo: Edit; readonly redo: Edit };

/** How things stand between this page and the server. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'refused' | 'stale';

/** The set that lies open: its document, the steps behind and before it, and how far it is saved. */
export type OpenSet = {
  readonly id: string | null;
  readonly document: SetDocument | null;
  readonly revision: number;
  /** Counts changes, so that a save knows whether it is still the newest. */
  readonly version: number;
  readonly savedVersion: number;
  readonly save: SaveState;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
};

const MOST_STEPS = 200;

const initial: OpenSet = { id: null, document: null, revision: 0, version: 0, savedVersion: 0, save: 'saved', past: [], future: [] };

const changed = (state: OpenSet, document: SetDocument): OpenSet => ({
  ...state,
  document,
  version: state.version + 1,
  save: state.save === 'stale' ? 'stale' : 'unsaved',
});

const slice = createSlice({
  name: 'openSet',
  initialState: initial,
  reducers: {
    opened: (state, { payload }: PayloadAction<{ id: string; revision: number; document: SetDocument; unsaved: boolean }>): OpenSet => ({
      ...initial,
      id: payload.id,
      revision: payload.revision,
      document: payload.document,
      version: state.version + 1,
      savedVersion: payload.unsaved ? -1 : state.version + 1,
      save: payload.unsaved ? 'unsaved' : 'saved',
    }),
    edited: (state, { payload }: PayloadAction<{ words: string; edit: Edit }>): OpenSet => {
      const current = state as OpenSet;
      if (!current.document) return current;
      const { document, inverse } = applyEdit(current.document, payload.edit);
      const step: Step = { words: payload.words, undo: inverse, redo: payload.edit };
      return { ...changed(current, document), past: [...current.past, step].slice(-MOST_STEPS), future: [] };
    },
    undone: (state): OpenSet => {
      const current = state as OpenSet;
      const step = current.past.at(-1);
      if (!step || !current.document) return current;
      return {
        ...changed(current, applyEdit(current.document, step.undo).document),
        past: current.past.slice(0, -1),
        future: [step, ...current.future],
      };
    },
    redone: (state): OpenSet => {
      const current = state as OpenSet;
      const [step, ...future] = current.future;
      if (!step || !current.document) return current;
      return { ...changed(current, applyEdit(current.document, step.redo).document), past: [...current.past, step], future };
    },
    saving: (state): OpenSet => ({ ...(state as OpenSet), save: 'saving' }),
    saved: (state, { payload }: PayloadAction<{ version: number; revision: number }>): OpenSet => ({
      ...(state as OpenSet),
      revision: payload.revision,
      savedVersion: payload.version,
      save: payload.version === state.version ? 'saved' : 'unsaved',
    }),
    notSaved: (state, { payload }: PayloadAction<'offline' | 'refused' | 'stale'>): OpenSet => ({ ...(state as OpenSet), save: payload }),
    closed: (state): OpenSet => ({ ...initial, version: state.version }),
  },
});

export const { opened, edited, undone, redone, saving, saved, notSaved, closed } = slice.actions;
export const openSetReducer = slice.reducer;
