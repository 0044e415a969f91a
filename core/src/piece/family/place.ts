// Where a thing lies, stands or hangs on another piece, as a maker decides it.
import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import type { PlaceOf } from './means.ts';

export const placeSchema: z.ZodType<PlaceOf> = z.strictObject({ piece: textField(80, 1), at: textField(40, 1) });
