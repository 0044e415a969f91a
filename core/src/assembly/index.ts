export { stuckIn } from './blocking.ts';
export { findContacts, outlineOf } from './contacts.ts';
export { type Guide, guidesOf } from './guides.ts';
export { type Inspection, inspect } from './inspect.ts';
export { clashOf, findInterference, type Interference } from './interference.ts';
export { type Unit, unitsOf } from './madeApart.ts';
export { edgeClearance, pinClearance, runsInto, type Stopped, stoppedMotions } from './motion.ts';
export { type Hinge, type Motion, movedMotion } from './moves.ts';
export { type Order, type OrderStep, orderOf } from './order.ts';
export {
  type Assembly,
  alike,
  around,
  axisOf,
  type Box,
  type Boxed,
  boxed,
  boxesOverlap,
  boxOf,
  type FlatBlank,
  isSquare,
  type Part,
  ROLES,
  type Role,
  type Stuff,
  standsOut as standsOutOf,
  upperOf,
} from './part.ts';
export { cutRegionOf, cutThicknessOf, runOf, type Slant, slantsOf } from './partAsCut.ts';
export { JOINTS, type Joints, type OpenJoint, type Spliced, spliced } from './splice.ts';
export type { Contact, FaceName } from './touching.ts';
