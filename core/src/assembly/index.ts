export { type Contact, type FaceName, findContacts } from './contacts.ts';
export { type Guide, guidesOf } from './guides.ts';
export { type Inspection, inspect } from './inspect.ts';
export { findInterference, type Interference } from './interference.ts';
export { type Assembly, axisOf, type Box, boxOf, isSquare, type Part, type Role } from './part.ts';
