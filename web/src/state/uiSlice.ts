import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A size that a finger rests on: it lights up on the twin rule. µm. */
export type Pointed = { readonly world: 'real' | 'doll'; readonly lengthUm: number };

/** A slip of paper that says what was done; `restore` names a set that its button puts back on the shelf. */
export type Slip = { readonly text: string; readonly action: { readonly label: string; readonly restore: string } | null };

/** What lies at hand while working; nothing of it belongs to the set. */
export type UiState = {
  readonly pointed: Pointed | null;
  readonly bay: readonly number[] | null;
  /** The tag of the part that a row, a drawing or the model points at. */
  readonly tag: string | null;
  readonly night: boolean;
  readonly notice: Slip | null;
  /** True when the application asks for its pass phrase. */
  readonly locked: boolean;
};

const NIGHT = 'parlor.night';

const wasNight = (): boolean => {
  try {
    return localStorage.getItem(NIGHT) === 'true';
  } catch {
    return false;
  }
};

/** The lamp stays as it was left. */
export const rememberNight = (night: boolean): void => {
  try {
    localStorage.setItem(NIGHT, String(night));
  } catch {
    // Then it is day again next time.
  }
};

const initial: UiState = { pointed: null, bay: null, tag: null, night: wasNight(), notice: null, locked: false };

const slice = createSlice({
  name: 'ui',
  initialState: initial,
  reducers: {
    pointedAt: (state, { payload }: PayloadAction<Pointed | null>): UiState => ({ ...state, pointed: payload }),
    bayChosen: (state, { payload }: PayloadAction<readonly number[] | null>): UiState => ({ ...state, bay: payload }),
    tagPointed: (state, { payload }: PayloadAction<string | null>): UiState => ({ ...state, tag: payload }),
    nightTurned: (state, { payload }: PayloadAction<boolean>): UiState => ({ ...state, night: payload }),
    noticed: (state, { payload }: PayloadAction<Slip | null>): UiState => ({ ...state, notice: payload }),
    doorClosed: (state): UiState => ({ ...state, locked: true }),
    doorOpened: (state): UiState => ({ ...state, locked: false }),
  },
});

export const { pointedAt, bayChosen, tagPointed, nightTurned, noticed, doorClosed, doorOpened } = slice.actions;
export const uiReducer = slice.reducer;
