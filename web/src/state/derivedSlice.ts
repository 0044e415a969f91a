import type { BoardLayout, DerivedSet, SetDocument } from '@parlor/core/set';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What the worker last made of the open set, and of which document; boards follow a moment after the pieces. */
export type DerivedState = {
  readonly set: DerivedSet | null;
  readonly from: SetDocument | null;
  readonly layouts: readonly BoardLayout[];
  readonly layoutsFrom: SetDocument | null;
  /** How the laying out of the newest document stands. */
  readonly layingOut: 'done' | 'under way' | 'stopped';
  readonly failed: boolean;
  /** True when the maker stopped the working out of the newest document. */
  readonly stopped: boolean;
};

const initial: DerivedState = { set: null, from: null, layouts: [], layoutsFrom: null, layingOut: 'done', failed: false, stopped: false };

const slice = createSlice({
  name: 'derived',
  initialState: initial as DerivedState,
  reducers: {
    derived: (state, { payload }: PayloadAction<{ set: DerivedSet; from: SetDocument }>): DerivedState => ({
      ...(state as DerivedState),
      ...payload,
      failed: false,
      stopped: false,
    }),
    layOutBegan: (state): DerivedState => ({ ...(state as DerivedState), layingOut: 'under way' }),
    laidOut: (state, { payload }: PayloadAction<{ layouts: readonly BoardLayout[]; from: SetDocument }>): DerivedState => ({
      ...(state as DerivedState),
      layouts: payload.layouts,
      layoutsFrom: payload.from,
      layingOut: 'done',
    }),
    layOutStopped: (state): DerivedState => ({ ...(state as DerivedState), layingOut: 'stopped' }),
    derivationFailed: (state): DerivedState => ({ ...(state as DerivedState), failed: true, layingOut: 'done' }),
    derivingStopped: (state): DerivedState => ({ ...(state as DerivedState), stopped: true }),
    derivedCleared: (): DerivedState => initial,
  },
});

export const { derived, layOutBegan, laidOut, layOutStopped, derivationFailed, derivingStopped, derivedCleared } = slice.actions;
export const derivedReducer = slice.reducer;
