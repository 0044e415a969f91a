// All that a family of pieces is. The rest of the program asks this value and never for a family by its name.
import type { Assembly, Part } from '../../assembly/index.ts';
import type { Body, RuleName } from '../../doll/index.ts';
import type { Result } from '../../kit/index.ts';
import type { DollUm } from '../../measure/index.ts';
import type { Built } from '../parts/built.ts';
import type { Piecelike } from './base.ts';
import type { Field } from './field.ts';
import type { BuiltWithout } from './leftOut.ts';
import type { Means, PlaceSpace } from './means.ts';
import type { FamilyModel } from './model.ts';
import type { PlaceAt } from './placeAt.ts';
import type { Preset } from './preset.ts';
import type { PieceProblem } from './problem.ts';

/** A size that a body meets, at doll size in µm: the rule of fit it is judged by, the part of the piece that it is of where there are several, and
 *  how the piece is changed to another. */
export type Offer<P> = {
  readonly rule: RuleName;
  readonly value: number;
  readonly of: string;
  readonly change: ((to: DollUm) => Partial<P>) | null;
};

/** A height at which something hangs, and the rule of fit that it is held against. */
export type Hung = { readonly rule: RuleName; readonly value: number };

/** Where one sits: how high, how deep before the back, where the front edge is and where the middle. µm, doll size. */
export type Sitting = { readonly level: number; readonly deep: number; readonly front: number; readonly middle: number };

/** What edits a piece beside its fields. */
export type Editor = 'walls' | 'panels' | 'sections' | 'outline' | 'layers' | 'openings' | 'holes';

export type Sight = 'front' | 'side' | 'top';

/** A family. What is optional is left out by those to whom it means nothing. */
export type Family<P extends Piecelike = Piecelike> = {
  readonly model: FamilyModel;
  /** Each decision about a piece, described once. */
  readonly fields: readonly Field[];
  readonly presets: readonly Preset[];
  /** Its lists and what else no field says, by the name of what edits them, and the group of fields that they stand with. */
  readonly editors?: Readonly<Partial<Record<Field['group'], readonly Editor[]>>>;
  /** What a group of its fields is called, where that says more than usual. */
  readonly groups?: Readonly<Partial<Record<Field['group'], string>>>;
  /** Decisions → parts. */
  build(piece: P, means: Means): Result<Built, PieceProblem>;
  /** The piece as a looking-glass shows it; itself where it is its own mirror image. */
  mirrored?(piece: P): P;
  /** The drawing on which it is decided best, where that is not the front. */
  sight?(piece: P): Sight;
  /** What is decided about the members of its lists, each with the way to it. */
  inner?(piece: P): readonly Field[];
  /** As much of a piece as can be built, where it cannot be built whole. */
  without?(piece: P, means: Means): Result<BuiltWithout, PieceProblem>;
  /** Where other things may lie, stand or hang on it; its top where this is left out, nowhere on small things. */
  places?(piece: P, assembly: Assembly, means: Means): readonly PlaceAt[];
  /** Whether it lies so flat on a floor that one walks on it and things stand on it. */
  liesFlat?(piece: P): boolean;
  /** Whether it goes round what lies on a place, and so stands where that does and not on it. */
  goesRound?(piece: P, place: PlaceSpace): boolean;
  /** What it offers a body. */
  offers?(piece: P, assembly: Assembly, means: Means, body: Body): readonly Offer<P>[];
  /** Heights at which it meets those who use it where it hangs so far above the floor. */
  hung?(piece: P, assembly: Assembly, up: number): readonly Hung[];
  /** How high above the floor one sits on it. */
  seatHeight?(piece: P, means: Means): DollUm;
  /** How one sits on it. */
  sitting?(piece: P, assembly: Assembly, means: Means): Sitting;
  /** The height at which one sits at it, with how it is changed; null where one does not. */
  satAt?(piece: P, means: Means): { readonly height: DollUm; readonly change: (to: DollUm) => Partial<P> } | null;
  /** The role whose board may be glued up in layers where a lying part of the piece sags. */
  spanRole?(part: Part): string | undefined;
  /** Whether a part is trim, which may be narrower than other board: beside what is a border anyway. */
  isTrim?(part: Part): boolean;
  /** What differs between two states beside the fields, in words. */
  changes?(was: P, is: P): readonly string[];
};

/** A family by its own type of piece; the functions take no other. */
export const defineFamily = <P extends Piecelike>(family: Family<P>): Family<P> => family;
