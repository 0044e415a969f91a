// The families, a line each: what is decided about them, what builds them, what they may be started from, what they are to those who use them.
// Whoever wants to know something of a piece asks here, and never for a family by its name.
import { type Assembly, alike, type Part } from '../assembly/index.ts';
import type { Body } from '../doll/index.ts';
import { err, ok, type Result } from '../kit/index.ts';
import type { DollUm } from '../measure/index.ts';
import { BED } from './bed/index.ts';
import { CASEWORK } from './casework/index.ts';
import { CLOTH } from './cloth/index.ts';
import type { Editor, Family, Hung, Offer, Sight, Sitting } from './family/family.ts';
import type { Field } from './family/field.ts';
import type { BuiltWithout } from './family/leftOut.ts';
import type { Means, PlaceSpace } from './family/means.ts';
import { type PlaceAt, topPlace } from './family/placeAt.ts';
import type { Preset } from './family/preset.ts';
import type { PieceProblem } from './family/problem.ts';
import { FREE } from './free/index.ts';
import { type FamilyName, isSmall, MODELS, type Piece } from './models.ts';
import { ODD } from './odd/index.ts';
import { OPENING } from './opening/index.ts';
import { PAPER } from './paper/index.ts';
import type { Built } from './parts/built.ts';
import { ROOM } from './room/index.ts';
import { ROUND } from './round/index.ts';
import { SCREEN } from './screen/index.ts';
import { SEAT } from './seat/index.ts';
import { SHOP } from './shop/index.ts';
import { STACK } from './stack/index.ts';
import { STICKWORK } from './stickwork/index.ts';
import { TABLE } from './table/index.ts';
import { WALL } from './wall/index.ts';

const FAMILIES = {
  casework: CASEWORK,
  table: TABLE,
  bed: BED,
  seat: SEAT,
  stickwork: STICKWORK,
  round: ROUND,
  stack: STACK,
  wall: WALL,
  opening: OPENING,
  shop: SHOP,
  room: ROOM,
  paper: PAPER,
  cloth: CLOTH,
  odd: ODD,
  panels: FREE,
  screen: SCREEN,
};

/** A piece's family, as one that takes any piece of its own kind: it is given no other. */
const familyOf = ({ family }: Pick<Piece, 'family'>): Family<Piece> => FAMILIES[family] as Family<Piece>;

/** Every preset of every family, in the order of the table. */
export const PRESETS: readonly Preset[] = Object.values(FAMILIES).flatMap(({ presets }) => presets);

/** What is decided about a piece of its family. */
export const fieldsOf = (piece: Pick<Piece, 'family'>): readonly Field[] => familyOf(piece).fields;

/** What is decided about the members of a piece's lists. */
export const innerFieldsOf = (piece: Piece): readonly Field[] => familyOf(piece).inner?.(piece) ?? [];

/** A piece as a looking-glass shows it. */
export const mirroredPiece = (piece: Piece): Piece => familyOf(piece).mirrored?.(piece) ?? piece;

/** The drawing on which a piece is decided best. */
export const sightOf = (piece: Piece): Sight => familyOf(piece).sight?.(piece) ?? 'front';

const finished = (built: Built): Built => ({ ...built, assembly: { ...built.assembly, parts: built.assembly.parts.map(alike) } });

/** Builds a piece, whatever its family. */
export const buildPiece = (piece: Piece, means: Means): Result<Built, PieceProblem> => {
  const built = familyOf(piece).build(piece, means);
  return built.ok ? ok(finished(built.value)) : built;
};

/** Builds what can be built of a piece that cannot be built whole.
 *  Shape: piece, means → it without what does not fit, and what that is. Errors: where nothing of it can be built, or its family has no parts to do without. */
export const buildWithout = (piece: Piece, means: Means, problem: PieceProblem): Result<BuiltWithout<Piece>, PieceProblem> => {
  const found = familyOf(piece).without?.(piece, means) as Result<BuiltWithout<Piece>, PieceProblem> | undefined;
  return found?.ok && found.value.left.length > 0 ? ok({ ...found.value, built: finished(found.value.built) }) : err(problem);
};

/** The places of a piece that stands.
 *  Shape: piece, its assembly, means → places by name; none for cloth, paper and what is itself put somewhere. */
export const placesOf = (piece: Piece, assembly: Assembly, means: Means): readonly PlaceAt[] =>
  familyOf(piece).places?.(piece, assembly, means) ?? (isSmall(piece) ? [] : topPlace(assembly, 'top'));

/** Whether a piece lies so flat on a floor that one walks on it and things stand on it. */
export const liesFlat = (piece: Piece): boolean => familyOf(piece).liesFlat?.(piece) ?? false;

/** What edits a piece beside a group of its fields. */
export const editorsOf = (piece: Piece, group: Field['group']): readonly Editor[] => familyOf(piece).editors?.[group] ?? [];

/** What a group of a piece's fields is called, where that says more than usual. */
export const groupOf = (piece: Piece, group: Field['group']): string | undefined => familyOf(piece).groups?.[group];

/** Whether a piece goes round what lies on a place. */
export const goesRound = (piece: Piece, place: PlaceSpace): boolean => familyOf(piece).goesRound?.(piece, place) ?? false;

/** What a piece offers a body. */
export const offersOf = (piece: Piece, assembly: Assembly, means: Means, body: Body): readonly Offer<Piece>[] =>
  familyOf(piece).offers?.(piece, assembly, means, body) ?? [];

/** Heights at which a piece meets those who use it where it hangs so far above the floor. */
export const hungAt = (piece: Piece, assembly: Assembly, up: number): readonly Hung[] => familyOf(piece).hung?.(piece, assembly, up) ?? [];

/** How high above the floor one sits on a piece; nothing where one does not. */
export const seatHeightOf = (piece: Piece, means: Means): DollUm | undefined => familyOf(piece).seatHeight?.(piece, means);

/** How one sits on a piece; nothing where one does not. */
export const sittingOn = (piece: Piece, assembly: Assembly, means: Means): Sitting | undefined =>
  familyOf(piece).sitting?.(piece, assembly, means);

/** The height at which one sits at a piece, with how it is changed; nothing where one does not. */
export const satAt = (piece: Piece, means: Means): ReturnType<NonNullable<Family<Piece>['satAt']>> =>
  familyOf(piece).satAt?.(piece, means) ?? null;

/** The role whose board may be glued up in layers where a lying part of the piece sags. */
export const spanRoleOf = (piece: Piece, part: Part): string | undefined => familyOf(piece).spanRole?.(part);

/** Whether a part of a piece is trim: glued down along its whole length, laid end to end as it comes. */
export const isTrim = (piece: Piece, part: Part): boolean => part.role === 'border' || (familyOf(piece).isTrim?.(part) ?? false);

/** What differs between two states of a piece beside its fields, in words; nothing of one that was of another family. */
export const changesOf = (was: Piece, is: Piece): readonly string[] =>
  was.family === is.family ? (familyOf(is).changes?.(was, is) ?? []) : [];

/** A piece made from a preset's decisions. */
export const fromPreset = (preset: Preset, id: string, mark: number): Piece => {
  const { family } = preset.piece as { family: FamilyName };
  return { ...MODELS[family].schema.parse(preset.piece), id, mark } as Piece;
};
