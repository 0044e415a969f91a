import type { BoardLayout } from '@parlor/core/cut';
import type { DerivedPiece, DerivedSet, Finding, SetDocument, StickPlan } from '@parlor/core/set';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What the worker last made of the open set, and of which document; boards follow a moment after the pieces. */
export type DerivedState = {
  readonly set: DerivedSet | null;
  readonly from: SetDocument | null;
  readonly layouts: readonly BoardLayout[];
  readonly sticks: readonly StickPlan[];
  /** What a careful maker would notice about the boards: of the last search that came to its end, so that notes do not come and go while one looks. */
  readonly cuttingFindings: readonly Finding[];
  /** What is noticed about how rooms are arranged, and, a while after the last change, about coverings. */
  readonly roomFindings: readonly Finding[];
  readonly coverFindings: readonly Finding[];
  /** What was noticed about the pages that were made up last. */
  readonly pageFindings: readonly Finding[];
  readonly layoutsFrom: SetDocument | null;
  /** How the laying out of the newest document stands. */
  readonly layingOut: 'done' | 'under way' | 'stopped';
  /** True while better layouts than the first answers are looked for, or are about to be. */
  readonly searching: boolean;
  readonly failed: boolean;
  /** True when the maker stopped the working out of the newest document. */
  readonly stopped: boolean;
};

const initial: DerivedState = {
  set: null,
  from: null,
  layouts: [],
  sticks: [],
  cuttingFindings: [],
  roomFindings: [],
  coverFindings: [],
  pageFindings: [],
  layoutsFrom: null,
  layingOut: 'done',
  searching: false,
  failed: false,
  stopped: false,
};

const slice = createSlice({
  name: 'derived',
  initialState: initial,
  reducers: {
    derived: (state, { payload: { set, from } }: PayloadAction<{ set: DerivedSet; from: SetDocument }>): DerivedState => ({
      ...(state as DerivedState),
      set,
      from,
      failed: false,
      stopped: false,
    }),
    /** The piece that is looked at stands before all others of a set that was just opened. */
    derivedFirst: (
      state,
      { payload: { piece, scale } }: PayloadAction<{ piece: DerivedPiece; scale: DerivedSet['scale'] }>,
    ): DerivedState => ({
      ...(state as DerivedState),
      set: { scale, pieces: [...(state.set?.pieces ?? []).filter(({ id }) => id !== piece.id), piece] } as DerivedSet,
    }),
    roomsLookedAt: (state, { payload }: PayloadAction<readonly Finding[]>): DerivedState => ({
      ...(state as DerivedState),
      roomFindings: payload,
    }),
    coveringsLookedAt: (state, { payload }: PayloadAction<readonly Finding[]>): DerivedState => ({
      ...(state as DerivedState),
      coverFindings: payload,
    }),
    pagesLookedAt: (state, { payload }: PayloadAction<readonly Finding[]>): DerivedState => ({
      ...(state as DerivedState),
      pageFindings: payload,
    }),
    layOutBegan: (state): DerivedState => ({ ...(state as DerivedState), layingOut: 'under way' }),
    laidOut: (
      state,
      { payload }: PayloadAction<{ layouts: readonly BoardLayout[]; sticks: readonly StickPlan[]; from: SetDocument }>,
    ): DerivedState => ({
      ...(state as DerivedState),
      layouts: payload.layouts,
      sticks: payload.sticks,
      layoutsFrom: payload.from,
      layingOut: 'done',
      // Every laying out is followed by a search, as soon as nothing has changed for a moment.
      searching: payload.layouts.length + payload.sticks.length > 0,
    }),
    searchBegan: (state): DerivedState => ({ ...(state as DerivedState), searching: true }),
    laidBetter: (state, { payload }: PayloadAction<BoardLayout>): DerivedState => ({
      ...(state as DerivedState),
      layouts: (state as DerivedState).layouts.map((layout) => (layout.key === payload.key ? payload : layout)),
    }),
    searched: (
      state,
      { payload }: PayloadAction<{ layouts: readonly BoardLayout[]; sticks: readonly StickPlan[]; findings: readonly Finding[] }>,
    ): DerivedState => ({
      ...(state as DerivedState),
      layouts: payload.layouts,
      sticks: payload.sticks,
      cuttingFindings: payload.findings,
      searching: false,
    }),
    searchEnded: (state): DerivedState => ({ ...(state as DerivedState), searching: false }),
    searchStopped: (state): DerivedState => ({ ...(state as DerivedState), cuttingFindings: [], searching: false }),
    layOutStopped: (state): DerivedState => ({ ...(state as DerivedState), layingOut: 'stopped' }),
    derivationFailed: (state): DerivedState => ({ ...(state as DerivedState), failed: true, layingOut: 'done', searching: false }),
    derivingStopped: (state): DerivedState => ({ ...(state as DerivedState), stopped: true }),
    derivedCleared: (): DerivedState => initial,
  },
});

export const {
  derived,
  derivedFirst,
  roomsLookedAt,
  coveringsLookedAt,
  pagesLookedAt,
  layOutBegan,
  laidOut,
  searchBegan,
  laidBetter,
  searched,
  searchEnded,
  searchStopped,
  layOutStopped,
  derivationFailed,
  derivingStopped,
  derivedCleared,
} = slice.actions;
export const derivedReducer = slice.reducer;
