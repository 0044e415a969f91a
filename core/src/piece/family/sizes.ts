// What sizes of pieces may be, at the door.
import { z } from 'zod';
import { measureField, realUm, UM } from '../../measure/index.ts';
import { EDGED_STICKS, ROUND_STICKS, STICK_NAMES, type StickName } from '../../stock/index.ts';

/** An outer size; a size that may be nought; a size that may not. */
export const side = measureField({ min: 10 * UM.mm, max: 10 * UM.m });
export const base = measureField({ min: 0, max: 3 * UM.m });
export const some = measureField({ min: UM.mm, max: 2 * UM.m });

/** So many millimetres of the real thing. */
export const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const oneOf = (names: readonly StickName[]) => z.enum(names as [StickName, ...StickName[]]);
export const anyStick = oneOf(STICK_NAMES);
export const edgedStick = oneOf(EDGED_STICKS);
export const roundStick = oneOf(ROUND_STICKS);
