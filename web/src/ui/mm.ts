/** Micrometres as millimetres of a drawing, whole micrometres apart. */
export const mm = (um: number): number => Math.round(um) / 1000;
