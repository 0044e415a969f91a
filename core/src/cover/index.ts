export { type Booklet, bookletSchema, leavesOf } from './booklet.ts';
export { type Covering, coverPiece, type Paint, wornOn } from './cover.ts';
export { type Dress, dressSchema, RUNS, type Runs, sameAt, UNDRESSED, type Wear, type WornAt, withWear } from './dress.ts';
export { artOn, fitOn } from './dressed.ts';
export { inSpace, type Surface, surfacesOf } from './exposed.ts';
export {
  type Art,
  EDGE_WAYS,
  type EdgeWay,
  FIRST_PALETTE,
  type Finish,
  finishSchema,
  SIGN_FACES,
  type SignFace,
  type Supply,
  type Swatch,
  swatchSchema,
  USUAL_TRIM,
  usualSupply,
  wordsField,
} from './finish.ts';
export { after, type Iso, inverse, moveBy, movedRegion } from './iso.ts';
export {
  contrastOf,
  fillsOf,
  inkColour,
  inkOf,
  type Look,
  lookOf,
  mainColour,
  PRINT_PIXEL,
  paintTones,
  type SignLook,
  TONES_EDGE,
  type Tones,
  tintOf,
} from './look.ts';
export { onSurface, outlineOfPaper, type Panel, type Paper, sizeOfPaper } from './paper.ts';
export { type Fill, PATTERN_NAMES, PATTERNS, type PatternName, type SurfacePattern, type Tint } from './pattern/index.ts';
export {
  type Affine,
  affineAt,
  affineOf,
  dotsPerInch,
  followedBy,
  GOOD_DPI,
  LEAST_DPI,
  type Picture,
  picturePlacements,
  usedPixels,
} from './picture.ts';
export { type FaceId, faceAt, poseOfSide } from './surface.ts';
