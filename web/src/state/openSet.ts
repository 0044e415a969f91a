import { applyEdit, brokenLimit, type Edit, type SetDocument } from '@parlor/core/set';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { dequal } from 'dequal/lite';

/** One step of work: what it is in words, and the edits that take it back and do it again. Steps of one `group` (typing in one field)
 *  count as one. */
export type Step = { readonly words: string; readonly undo: Edit; readonly redo: Edit; readonly group: string | null };

/** How things stand between this page and the server. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'full' | 'refused' | 'stale' | 'gone' | 'closed';

/** The set that lies open: its document, the steps behind and before it, and how far it is saved. */
export type OpenSet = {
  readonly id: string | null;
  readonly document: SetDocument | null;
  readonly revision: number;
  /** The document as the server has it at that revision, where that is known: what is not the very same in it is what a save sends. */
  readonly savedDocument: SetDocument | null;
  /** Counts changes, so that a save knows whether it is still the newest. */
  readonly version: number;
  readonly savedVersion: number;
  readonly save: SaveState;
  /** False when the browser had no room to keep what is not saved. */
  readonly keptHere: boolean;
  /** Why the server did not take it. */
  readonly reasons: readonly string[];
  /** The edit that was refused last, for it would have broken a limit of sets. */
  readonly limit: { readonly why: string } | null;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
};

const MOST_STEPS = 200;

const initial: OpenSet = {
  id: null,
  document: null,
  revision: 0,
  savedDocument: null,
  version: 0,
  savedVersion: 0,
  save: 'saved',
  keptHere: true,
  reasons: [],
  limit: null,
  past: [],
  future: [],
};

/** While these stand, the maker must choose first: a change does not make them go away. */
const waits = (save: SaveState): boolean => save === 'stale' || save === 'gone' || save === 'closed';

const changed = (state: OpenSet, document: SetDocument): OpenSet => ({
  ...state,
  document,
  version: state.version + 1,
  save: waits(state.save) ? state.save : 'unsaved',
});

/** True when the later edit writes over all that the earlier one wrote. */
const writesOver = (later: Edit, earlier: Edit): boolean => {
  if (later.kind === 'put-cell' && earlier.kind === 'put-cell') return later.id === earlier.id && dequal(later.path, earlier.path);
  const changes = 'change' in later && 'change' in earlier && later.kind === earlier.kind;
  const target = (edit: Edit) => ('id' in edit ? edit.id : '');
  return changes && target(later) === target(earlier) && Object.keys(earlier.change).every((key) => key in later.change);
};

const joined = (last: Step, step: Step): Step =>
  writesOver(step.redo, last.redo)
    ? { ...step, undo: last.undo }
    : { ...step, undo: { kind: 'all', edits: [step.undo, last.undo] }, redo: { kind: 'all', edits: [last.redo, step.redo] } };

/** A step behind the others, or one with the last when both are of one group. */
const stepped = (past: readonly Step[], step: Step): readonly Step[] => {
  const last = past.at(-1);
  if (step.group === null || last?.group !== step.group) return [...past, step].slice(-MOST_STEPS);
  return [...past.slice(0, -1), joined(last, step)];
};

type Opening = { readonly id: string; readonly revision: number; readonly document: SetDocument; readonly unsaved: boolean };

const slice = createSlice({
  name: 'openSet',
  initialState: initial,
  reducers: {
    opened: (state, { payload }: PayloadAction<Opening>): OpenSet => ({
      ...initial,
      id: payload.id,
      revision: payload.revision,
      document: payload.document,
      savedDocument: payload.unsaved ? null : payload.document,
      version: state.version + 1,
      savedVersion: payload.unsaved ? -1 : state.version + 1,
      save: payload.unsaved ? 'unsaved' : 'saved',
    }),
    edited: (state, { payload }: PayloadAction<{ words: string; edit: Edit; group?: string }>): OpenSet => {
      const current = state as OpenSet;
      if (!current.document) return current;
      const { document, inverse } = applyEdit(current.document, payload.edit);
      const why = brokenLimit(document);
      // What was over a limit already may be changed back below it.
      if (why !== null && brokenLimit(current.document) === null) return { ...current, limit: { why } };
      const step: Step = { words: payload.words, undo: inverse, redo: payload.edit, group: payload.group ?? null };
      return { ...changed(current, document), past: stepped(current.past, step), future: [] };
    },
    undone: (state): OpenSet => {
      const current = state as OpenSet;
      const step = current.past.at(-1);
      if (!step || !current.document) return current;
      return {
        ...changed(current, applyEdit(current.document, step.undo).document),
        past: current.past.slice(0, -1),
        future: [{ ...step, group: null }, ...current.future],
      };
    },
    redone: (state): OpenSet => {
      const current = state as OpenSet;
      const [step, ...future] = current.future;
      if (!step || !current.document) return current;
      return { ...changed(current, applyEdit(current.document, step.redo).document), past: [...current.past, step], future };
    },
    /** Two versions became one, on top of the revision that the other hand saved; undo gives one's own back. */
    broughtTogether: (state, { payload }: PayloadAction<{ document: SetDocument; revision: number }>): OpenSet => {
      const current = state as OpenSet;
      if (!current.document) return current;
      const edit: Edit = { kind: 'replace', document: payload.document };
      const step: Step = {
        words: 'both versions brought together',
        undo: applyEdit(current.document, edit).inverse,
        redo: edit,
        group: null,
      };
      return {
        ...changed({ ...current, save: 'unsaved' }, payload.document),
        revision: payload.revision,
        savedDocument: null,
        past: stepped(current.past, step),
        future: [],
      };
    },
    saving: (state): OpenSet => ({ ...(state as OpenSet), save: 'saving' }),
    saved: (state, { payload }: PayloadAction<{ version: number; revision: number; document: SetDocument }>): OpenSet => ({
      ...(state as OpenSet),
      revision: payload.revision,
      savedDocument: payload.document,
      savedVersion: payload.version,
      save: payload.version === state.version ? 'saved' : 'unsaved',
      reasons: [],
    }),
    notSaved: (
      state,
      { payload }: PayloadAction<{ save: Exclude<SaveState, 'saved' | 'saving'>; reasons?: readonly string[] }>,
    ): OpenSet => ({
      ...(state as OpenSet),
      save: payload.save,
      reasons: payload.reasons ?? [],
    }),
    keptAside: (state, { payload }: PayloadAction<boolean>): OpenSet => ({ ...(state as OpenSet), keptHere: payload }),
    closed: (state): OpenSet => ({ ...initial, version: state.version }),
  },
});

export const { opened, edited, undone, redone, broughtTogether, saving, saved, notSaved, keptAside, closed } = slice.actions;
export const openSetReducer = slice.reducer;
