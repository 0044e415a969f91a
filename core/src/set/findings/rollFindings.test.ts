// What is rolled of board must bend so far: common practice of the trade, no source.
import { describe, expect, it } from 'vitest';
import { applyEdit, derive, describeFinding, readSet, type SetDocument } from '../index.ts';

const tower = (across: string, boards: readonly object[]): SetDocument => {
  const sections = [{ kind: 'tube', across, height: '900 mm' }];
  const piece = { family: 'round', name: 'Tower', sections };
  const read = readSet({ format: 'bashful-parlor-set', version: 1, doll: { scale: { by: 'ratio', ratio: 6 } }, boards, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const FOAM = [{ id: 'foam', name: 'foam board', nominal: '5 mm' }];
const tight = (document: SetDocument) => derive(document).pieces[0]?.findings.find(({ code }) => code === 'rolled-too-tight');

describe('board that is rolled', () => {
  it('foam board of 5 mm to a shade 50 mm across is too tight; it says how tightly it goes, and a thinner one mends it', () => {
    const document = tower('300 mm', FOAM);
    const finding = tight(document);
    expect(finding).toMatchObject({ numbers: { radius: 20_000, least: 40_000 }, mend: { kind: 'other-board' } });
    if (!finding?.mend) return;
    expect(describeFinding(finding, document.units).reason).toMatch(/20 mm from its middle.*5 mm thick.*40 mm/);
    const mended = applyEdit(document, finding.mend.edit).document;
    expect(mended.boards.map(({ nominal }) => nominal)).toEqual([5_000, 2_000]);
    expect(tight(mended)).toBeUndefined();
  });

  it('to 100 mm across it goes', () => {
    expect(tight(tower('600 mm', FOAM))).toBeUndefined();
  });

  it('a board that the set has is taken first', () => {
    const document = tower('300 mm', [...FOAM, { id: 'card', name: 'card', nominal: '1 mm' }]);
    expect(tight(document)?.mend).toMatchObject({ kind: 'other-board', detail: 'card', edit: { kind: 'change-piece' } });
  });
});
