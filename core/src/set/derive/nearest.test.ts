import { describe, expect, it } from 'vitest';
import { fieldsOf, isFieldShown, type Piece, PRESETS, valueAt, withValueAt } from '../../piece/index.ts';
import { applyEdit, derive, describeMend, insteadOf, readSet, type SetDocument } from '../index.ts';

const MM = { unit: 'mm', fine: false } as const;

const setOf = (piece: unknown): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};
const stands = (document: SetDocument): boolean => derive(document).pieces[0]?.made !== null;
const preset = (key: string, over: object): SetDocument => setOf({ ...PRESETS.find((each) => each.key === key)?.piece, ...over });

describe('what cannot be built', () => {
  it('is shown as the nearest that can, with the change as a mend that holds', () => {
    const stool = preset('square-stool', { width: '60 mm' });
    const instead = insteadOf(stool, stool.pieces[0]?.id ?? '');
    if (!instead) throw new Error('nothing stands');
    expect(stands(stool)).toBe(false);
    expect(describeMend(instead.mend, MM)).toMatch(/^make it so: width \d+ mm$/);
    expect(stands(applyEdit(stool, instead.mend.edit).document)).toBe(true);
    expect(instead.made.assembly.parts.length).toBeGreaterThan(4);
    // By as little as can be: twenty millimetres nearer to what was typed it still has no room.
    const width = Number(/(\d+) mm$/.exec(describeMend(instead.mend, MM))?.[1]);
    expect(stands(preset('square-stool', { width: `${width - 20} mm` }))).toBe(false);
  });

  it('differs in one decision, and stands, for any field of any preset that was made much too small or large', () => {
    let [broken, helped] = [0, 0];
    for (const { piece, kind } of PRESETS) {
      if (kind === 'rooms') continue;
      const document = setOf(piece);
      const whole = document.pieces[0] as Piece;
      const sizes = fieldsOf(whole).filter((field) => isFieldShown(field, whole) && field.kind.kind === 'size');
      for (const { path } of sizes.slice(0, 3)) {
        const value = valueAt(whole, path);
        if (typeof value !== 'number') continue;
        const set = { ...document, pieces: [withValueAt(whole, path, Math.round(value * 0.4))] } as SetDocument;
        if (stands(set)) continue;
        broken += 1;
        const instead = insteadOf(set, whole.id);
        if (!instead) continue;
        helped += 1;
        const mended = applyEdit(set, instead.mend.edit).document;
        expect(stands(mended), `${whole.name} ${path}`).toBe(true);
        const [was, is] = [set.pieces[0] as Piece, mended.pieces[0] as Piece];
        const differ = fieldsOf(is).filter((field) => JSON.stringify(valueAt(was, field.path)) !== JSON.stringify(valueAt(is, field.path)));
        expect(new Set(differ.map((field) => field.path[0])).size, whole.name).toBe(1);
      }
    }
    expect(broken).toBeGreaterThan(60);
    expect(helped / broken).toBeGreaterThan(0.8);
  }, 120_000);
});
