import { type DollUm, dollUm, UM } from '../measure/index.ts';

/** A usual sheet: its name and its sides, the shorter one first. */
export type UsualSheet = { readonly name: string; readonly width: DollUm; readonly height: DollUm };

const sheet = (name: string, width: number, height: number, unit: number): UsualSheet => ({
  name,
  width: dollUm(width * unit),
  height: dollUm(height * unit),
});

/** Foam board as it is sold. Sizes in inches: common practice, no source. A sizes: ISO 216. */
export const USUAL_SHEETS: readonly UsualSheet[] = [
  sheet('20 × 30 in', 20, 30, UM.in),
  sheet('18 × 24 in', 18, 24, UM.in),
  sheet('A1', 594, 841, UM.mm),
  sheet('A2', 420, 594, UM.mm),
  sheet('A3', 297, 420, UM.mm),
  sheet('A4', 210, 297, UM.mm),
];

/** Pages that printers take. A4: ISO 216. Letter 8.5 × 11 in: ANSI/ASME Y14.1, size A. */
export const PAPERS = {
  a4: { name: 'A4', width: dollUm(210 * UM.mm), height: dollUm(297 * UM.mm) },
  letter: { name: 'Letter', width: dollUm(8.5 * UM.in), height: dollUm(11 * UM.in) },
} as const;

export type PaperName = keyof typeof PAPERS;
