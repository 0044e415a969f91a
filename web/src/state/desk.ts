import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A size that a finger rests on: it lights up on the twin rule. µm. */
export type Pointed = { readonly world: 'real' | 'doll'; readonly lengthUm: number };

/** What lies at hand while working; nothing of it belongs to the set. */
export type Desk = {
  readonly pointed: Pointed | null;
  readonly bay: readonly number[] | null;
  /** The tag of the part that a row, a drawing or the model points at. */
  readonly tag: string | null;
  readonly night: boolean;
  readonly notice: { readonly text: string; readonly action: { readonly label: string; readonly restore: string } | null } | null;
};

const initial: Desk = { pointed: null, bay: null, tag: null, night: false, notice: null };

const slice = createSlice({
  name: 'desk',
  initialState: initial,
  reducers: {
    pointedAt: (state, { payload }: PayloadAction<Pointed | null>): Desk => ({ ...state, pointed: payload }),
    bayChosen: (state, { payload }: PayloadAction<readonly number[] | null>): Desk => ({ ...state, bay: payload }),
    tagPointed: (state, { payload }: PayloadAction<string | null>): Desk => ({ ...state, tag: payload }),
    nightTurned: (state, { payload }: PayloadAction<boolean>): Desk => ({ ...state, night: payload }),
    noticed: (state, { payload }: PayloadAction<Desk['notice']>): Desk => ({ ...state, notice: payload }),
  },
});

export const { pointedAt, bayChosen, tagPointed, nightTurned, noticed } = slice.actions;
export const deskReducer = slice.reducer;
