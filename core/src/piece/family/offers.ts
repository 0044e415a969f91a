// Heights that a body meets, as several families take them.
import { type DollUm, dollOf, type Measure, type Scale, UM } from '../../measure/index.ts';
import type { Piecelike } from './base.ts';
import type { Means } from './means.ts';

/** The real height that divides tables and seats: lower tables are not sat at, higher seats are climbed. µm. */
export const SAT_AT = 600 * UM.mm;

/** The scale that a piece follows for heights that touch the body. */
export const bodyScaleOf = ({ bodyScale }: Pick<Piecelike, 'bodyScale'>, means: Means): Scale =>
  bodyScale === 'set' ? means.scale : means.body;

/** A size as it is decided by what a rule of fit proposes: at doll size. */
export const asDoll = (to: DollUm): Measure => ({ doll: to });

/** A decided size at doll size by the set's scale. */
export const dollIn =
  ({ scale }: Means) =>
  (measure: Measure): DollUm =>
    dollOf(measure, scale);
