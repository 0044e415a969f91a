export { type Arranged, arrangedIn, belongingTo } from './arranging/arrange.ts';
export { arrangedFindings } from './arranging/arrangedFindings.ts';
export { canJoin, differencesOfShells, joinRooms, type ShellDifference, takeOff } from './arranging/joinRooms.ts';
export { findingsThere } from './arranging/jointsThere.ts';
export {
  coverOne,
  type DerivedCovering,
  deriveCoverings,
  looksOf,
  paperName,
  printedPapers,
  rulerGrid,
  sideWord,
} from './derive/coverings.ts';
export {
  type DerivedPiece,
  type DerivedSet,
  derive,
  type Instead,
  insteadOf,
  type MadePiece,
  meansOf,
  onlyWithHost,
  orderOfPiece,
} from './derive/derive.ts';
export { type GoodPaper, type GoodSheet, paperOfGood, printedGoods, sheetsOfGood } from './derive/goods.ts';
export { placeNamed, placeWords, putAt, spotOf } from './derive/places.ts';
export { placeOnShelf, type ShelfAt, shelfAt, shelvesOf } from './derive/shelves.ts';
export { type Suited, suited } from './derive/suit.ts';
export {
  brokenLimit,
  bytesOf,
  type CutSheet,
  MOST_BYTES,
  MOST_PIECES,
  type Piece,
  printerSchema,
  type SetDocument,
  setSchema,
} from './document/document.ts';
export { applyEdit, type Edit, type PieceChange } from './document/edit.ts';
export { freshName } from './document/freshName.ts';
export { documentJsonSchema, type JsonSchema } from './document/jsonSchema.ts';
export { VERSION } from './document/migrations/index.ts';
export { openingMoved } from './document/moveOpening.ts';
export { readEdited } from './document/readEdited.ts';
export { type ReadIssue, readPiece, readSet, readSetFile, writeSetFile } from './document/readSet.ts';
export { doSentEdits, editBetween, type SentEdits, sentEdit } from './document/sentEdit.ts';
export { shellChange } from './document/shellChange.ts';
export { strangersIn, tidied } from './document/strangers.ts';
export type { Finding, Mend } from './findings/finding.ts';
export { isOfUse, noteOf, onlySeen, setAside, takeUp, whyAside } from './findings/setAside.ts';
export { type FindingView, viewOfFinding } from './findings/views.ts';
export { type BodyFit, fitOf, seatUnder } from './fit/fit.ts';
export { fitRule, type RuleChange, type RuleFit } from './fit/fitRule.ts';
export { bringTogether, compareVersions, type MergeSide, type Strand } from './history/bringTogether.ts';
export { type Difference, describeChange, describeDifference, differences } from './history/differences.ts';
export { drawingsOf, type MadeUp, makeUp, type PagesWanted, pageRulesOf, pagesOf, templatePages } from './pages/pages.ts';
export { boardPlans, partsById, placedOn } from './plans/boardPlans.ts';
export { boardJobs, itemsFor, layOutSet, rulesOf } from './plans/boards.ts';
export {
  BATTING,
  type ClothCut,
  type ClothPlan,
  clothPlans,
  clothSheets,
  colourOfCloth,
  cutsOfCloth,
  edgeWords,
  lyingLine,
} from './plans/clothPlans.ts';
export { inWay, type MadeInWay } from './plans/clothWays.ts';
export { coverFindings, neighbours } from './plans/coverFindings.ts';
export { tickCut, untickCut } from './plans/cutSheets.ts';
export { cuttingFindings } from './plans/cuttingFindings.ts';
export type { Flat } from './plans/flats.ts';
export { type LaidPaper, type PaperJoin, type PaperNeed, paperJoinsOf, paperNeeds } from './plans/paperNeeds.ts';
export { paperPlans } from './plans/paperPlans.ts';
export { keepApart, keepTogether, letAllGo, letGo, pinPart, placeNear } from './plans/pins.ts';
export { slantWords } from './plans/slantWords.ts';
export { type MarkedStick, type StickMark, stickMarks } from './plans/stickMarks.ts';
export { partOfPiece, planSticks, roundedEnd, type StickKindJob, type StickPlan, stickJobs, usualStick } from './plans/stickPlans.ts';
export { type Taking, takingsOf } from './plans/takings.ts';
export { type PaperHinge, paperHingesOf, templatesOf } from './plans/templates.ts';
export { describeFinding } from './words/describe.ts';
export { goodWords } from './words/describeFit.ts';
export { describeMend } from './words/describeMend.ts';
