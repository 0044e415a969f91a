import './deriving.ts';

export { type ApiError, type AwaySummary, api, type KeptPicture, type OwnPreset, type RevisionSummary, type SetSummary } from './api.ts';
export { deriveAgain, layOutAgain, searchAgain, stopLayingOut, stopSearching } from './deriving.ts';
export { bayChosen, doorOpened, nightTurned, noticed, type Pointed, pointedAt, rememberNight, tagPointed } from './desk.ts';
export { useCovering, useDerivedPiece, useEdit, useGoodPaper, useLook, useNeeds, useOrder, useScale, useSet, useUnits } from './hooks.ts';
export { loadSet, type Opening, takeNewest } from './loadSet.ts';
export { broughtTogether, closed, type SaveState } from './openSet.ts';
export { hearOthers } from './others.ts';
export { forgetOpen, saveAgain } from './saving.ts';
export { redoStep, undoStep } from './steps.ts';
export { store, useAppDispatch, useAppSelector } from './store.ts';
export { strokeBegins, strokeEnds } from './stroke.ts';
export type { PageInfo, PagesReply, PlotFormat, PlotReply, TrialReply } from './worker.ts';
export {
  boardPagesThere,
  boardsThere,
  fitRuleThere,
  onScreenThere,
  type PageFormat,
  pagesThere,
  pictureThere,
  plotThere,
  readyToPrint,
  Stopped,
  stopDeriving,
  stopPress,
  testPageThere,
  triedThere,
  writtenThere,
  zipThere,
} from './workshop.ts';
