import { type DollUm, dollUm, UM } from '../measure/index.ts';

/** What a printer leaves white on each side of its page, however it is asked. */
export type Margins = { readonly left: DollUm; readonly right: DollUm; readonly top: DollUm; readonly bottom: DollUm };

const around = (um: number): Margins => ({ left: dollUm(um), right: dollUm(um), top: dollUm(um), bottom: dollUm(um) });

/** Kinds of printers by what they leave white: usual in their data sheets, recalled from memory; many leave less. `own` is what the maker has measured. */
export const PRINTERS = {
  own: { name: 'as measured', margins: null },
  inkjet: { name: 'ink jet', margins: { ...around(3.4 * UM.mm), bottom: dollUm(12.7 * UM.mm) } },
  laser: { name: 'laser', margins: around(4.3 * UM.mm) },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly margins: Margins | null }>>;

export type PrinterKind = keyof typeof PRINTERS;
export const PRINTER_KINDS = Object.keys(PRINTERS) as readonly PrinterKind[];

/** What pages are printed on: weight in g/m², thickness in µm. Usual on packets, recalled from memory; a maker measures ten sheets and divides (ISO 534
 *  measures a pack in the same way). */
export const PRINT_STOCKS = {
  plain: { name: 'plain paper', weight: 80, thickness: 100 },
  card: { name: 'card', weight: 200, thickness: 250 },
  label: { name: 'label paper', weight: 140, thickness: 150 },
  photo: { name: 'photo paper', weight: 230, thickness: 240 },
} as const;

export type PrintStock = keyof typeof PRINT_STOCKS;
export const PRINT_STOCK_NAMES = Object.keys(PRINT_STOCKS) as readonly PrintStock[];
