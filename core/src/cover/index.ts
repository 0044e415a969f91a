export { type Covering, coverPiece, type Paint } from './cover.ts';
export { type Dress, dressSchema, RUNS, type Runs, sameAt, UNDRESSED, type Wear, type WornAt, withWear } from './dress.ts';
export { artOn, finishOf } from './dressed.ts';
export { inSpace, type Surface, surfacesOf } from './exposed.ts';
export {
  type Art,
  CRAFT_SHEET,
  EDGE_WAYS,
  type EdgeWay,
  FIRST_PALETTE,
  type Finish,
  finishSchema,
  type Supply,
  type Swatch,
  swatchSchema,
} from './finish.ts';
export { after, type Iso, inverse, moveBy, movedRegion } from './iso.ts';
export { contrastOf, fillsOf, type Look, lookOf, mainColour, PRINT_PIXEL, paintTones, type Tones } from './look.ts';
export { onSurface, outlineOfPaper, type Panel, type Paper, sizeOfPaper } from './paper.ts';
export { type Fill, PATTERN_NAMES, PATTERNS, type Pattern, type PatternName, type Tint } from './pattern/index.ts';
export { type FaceId, faceAt, facesOf } from './surface.ts';
