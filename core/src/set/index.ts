export { type Arranged, arrangedIn, belongingTo } from './arrange.ts';
export { boardPlans, partsById, placedOn } from './boardPlans.ts';
export { type BoardLayout, itemsFor, layOutSet, rulesOf, searchOf } from './boards.ts';
export { bringTogether, compareVersions, type Side, type Strand } from './bringTogether.ts';
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
} from './clothPlans.ts';
export { inWay, type MadeInWay } from './clothWays.ts';
export { coverFindings, neighbours } from './coverFindings.ts';
export { coverOne, type DerivedCovering, deriveCoverings, looksOf, paperName, printedPapers, rulerGrid, sideWord } from './coverings.ts';
export { tickCut, untickCut } from './cutSheets.ts';
export { cuttingFindings } from './cuttingFindings.ts';
export { type DerivedPiece, type DerivedSet, derive, type Instead, insteadOf, type MadePiece, meansOf, orderOfPiece } from './derive.ts';
export { describeFinding } from './describe.ts';
export { goodWords } from './describeFit.ts';
export { describeMend } from './describeMend.ts';
export { type Difference, describeChange, describeDifference, differences } from './differences.ts';
export { brokenLimit, type CutSheet, MOST_PIECES, type Piece, printerSchema, type SetDocument, setSchema } from './document.ts';
export { applyEdit, type Edit, type PieceChange } from './edit.ts';
export type { Finding, Mend } from './finding.ts';
export { type Fit, fitOf, seatUnder } from './fit.ts';
export { fitRule, type RuleChange, type RuleFit } from './fitRule.ts';
export { freshName } from './freshName.ts';
export { type GoodPaper, type GoodSheet, paperOfGood, printedGoods, sheetsOfGood } from './goods.ts';
export { canJoin, differencesOfShells, joinRooms, type ShellDifference, shellChange, takeOff } from './joinRooms.ts';
export { openingMoved } from './moveOpening.ts';
export { drawingsOf, type MadeUp, makeUp, pageRulesOf, pagesOf, templatePages, type Wanted } from './pages.ts';
export { type LaidPaper, type PaperNeed, paperNeeds, type Seam, seamsOf } from './paperNeeds.ts';
export { paperPlans } from './paperPlans.ts';
export { keepApart, keepTogether, letAllGo, letGo, pinPart, placeNear } from './pins.ts';
export { type PlaceAt, placeNamed, placesOf, placeWords, putAt, spotOf } from './places.ts';
export { type ReadIssue, readPiece, readSet, readSetFile, writeSetFile } from './readSet.ts';
export { noteOf, setAside, takeUp } from './setAside.ts';
export { placeOnShelf, type ShelfAt, shelfAt, shelvesOf } from './shelves.ts';
export { slantWords } from './slantWords.ts';
export { type MarkedStick, type StickMark, stickMarks } from './stickMarks.ts';
export { bought as boughtSticks, partOfPiece, planSticks, roundedEnd, type StickPlan, usualStick } from './stickPlans.ts';
export { strangersIn, tidied } from './strangers.ts';
export { type Suited, suited } from './suit.ts';
export { type PaperHinge, paperHingesOf, templatesOf } from './templates.ts';
