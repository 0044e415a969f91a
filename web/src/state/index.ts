import './deriving.ts';

export type { PageInfo, PagesReply, PlotFormat, PlotReply, TrialReply } from '../engine/index.ts';
export {
  boardPagesThere,
  boardsThere,
  fitRuleThere,
  insteadThere,
  onScreenThere,
  openingThere,
  type PageFormat,
  pagesThere,
  pictureThere,
  plotThere,
  readyToPrint,
  StoppedSearch,
  stopDeriving,
  stopPress,
  testPageThere,
  triedThere,
  writtenThere,
  zipThere,
} from '../engine/index.ts';
export {
  type ApiError,
  type AwaySummary,
  api,
  type KeptPicture,
  type Notice,
  type OwnPreset,
  type Restored,
  type RevisionSummary,
  type SetSummary,
  type ShelfState,
} from './api.ts';
export { nextPiece, useBegin } from './begin.ts';
export { pagesLookedAt } from './derivedSlice.ts';
export { deriveAgain, layOutAgain, pauseSearching, searchAgain, stopLayingOut, stopSearching } from './deriving.ts';
export { dropAside, type KeptAside, listAside, unsentSets } from './draftStorage.ts';
export {
  useAnswer,
  useCovering,
  useDerivedPiece,
  useEdit,
  useGoodPaper,
  useLook,
  useNeeds,
  useOrder,
  useScale,
  useSet,
  useUnits,
} from './hooks.ts';
export { type Opening, openEarly, openSet, takeNewest } from './loadSet.ts';
export { broughtTogether, closed, type SaveState } from './openSet.ts';
export { hearOtherPages } from './otherPages.ts';
export { forgetOpen, saveAgain } from './saving.ts';
export { redoStep, undoStep } from './steps.ts';
export { store, useAppDispatch, useAppSelector } from './store.ts';
export { bayChosen, doorClosed, doorOpened, nightTurned, noticed, type Pointed, pointedAt, rememberNight, tagPointed } from './uiSlice.ts';
export { undoGroupBegins, undoGroupEnds } from './undoGroup.ts';
