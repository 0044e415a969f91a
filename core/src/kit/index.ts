export { assertNever } from './assertNever.ts';
export { evenly } from './evenly.ts';
export { seededRandom } from './random.ts';
export { err, ok, type Result } from './result.ts';
export { lessStretch, type Stretch } from './stretches.ts';
export { textField } from './textField.ts';
