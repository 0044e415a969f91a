import { printerSchema, type SetDocument } from '@parlor/core/set';

type Printer = SetDocument['printing']['printer'];

const KEY = 'parlor-printer';

/** Remembers the printer that was measured last, so that another set need not measure it again. */
export const rememberPrinter = (printer: Printer): void => {
  try {
    localStorage.setItem(KEY, JSON.stringify(printer));
  } catch {
    // A browser that keeps nothing measures again.
  }
};

/** The printer that was measured last on this computer; null when none was. */
export const knownPrinter = (): Printer | null => {
  try {
    const read = printerSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
    return read.success && read.data.measured !== null ? read.data : null;
  } catch {
    return null;
  }
};
