import { showLength, UM, type Units } from '../measure/index.ts';

/** The name of a stock as it is read in the maker's unit: sizes in names are kept in mm, whatever the set speaks. */
export const stockWords = (name: string, units: Units): string =>
  name.replace(/(\d+(?:\.\d+)?) mm\b/g, (_, size: string) => showLength(Math.round(Number(size) * UM.mm), units));
