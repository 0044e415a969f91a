// What a thing takes, against what it is made of: nothing of its parts, nets, sewn pieces or found bodies is taken from nowhere.
import { describe, expect, it } from 'vitest';
import type { Part } from '../../assembly/index.ts';
import { PRESETS } from '../../piece/index.ts';
import { type DerivedPiece, type DerivedSet, derive, type MadePiece, readSet, type SetDocument, type Taking, takingsOf } from '../index.ts';

const setOf = (piece: unknown): { readonly document: SetDocument; readonly derived: DerivedSet; readonly first: DerivedPiece } => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(piece).slice(0, 200));
  const derived = derive(read.value);
  const [first] = derived.pieces;
  if (!first?.made) throw new Error(JSON.stringify(piece).slice(0, 200));
  return { document: read.value, derived, first };
};

const madeOf = (piece: unknown): MadePiece => setOf(piece).first.made as MadePiece;

/** Bodies that stand for what is folded, sewn, modelled or found, and are cut from nothing themselves. */
const isBody = ({ stuff, stock }: Part): boolean => stuff === 'found' && /^(folded paper|cloth|paper|found thing)$/.test(stock);

describe('what a thing takes', () => {
  it.each(PRESETS.map(({ key, piece }) => [key, piece] as const))(
    '%s: each part is in its lists once, and nothing else is',
    (key, piece) => {
      const made = madeOf(piece);
      const { parts } = made.assembly;
      const listed = made.groups.flatMap((group) => group.parts.map((part) => ({ part, group })));
      expect(listed.map(({ part }) => part).sort((a, b) => a - b)).toEqual([...parts.keys()]);
      for (const { part, group } of listed) {
        const { stock, stuff, length, thickness } = parts[part] as Part;
        expect([group.stock, group.stuff], `${key} ${group.name}`).toEqual([stock, stuff]);
        // A stick is bought by its length: it has one; a board has none.
        expect(length !== null, `${key} ${group.name}`).toBe(group.length !== null);
        expect(thickness, `${key} ${group.name}`).toBeGreaterThan(0);
      }
      // A body that is cut from nothing is folded from a net, sewn from cloth, stands for something from the house, or is wound from what is listed.
      const from = {
        nets: made.nets.length,
        sewn: made.sewing?.pattern.pieces.length ?? 0,
        wanted: made.wanted.length,
        extras: made.extras.length,
      };
      if (parts.some(isBody))
        expect(
          Object.values(from).some((count) => count > 0),
          `${key} ${JSON.stringify(from)}`,
        ).toBe(true);
      for (const { what, length, count, grams } of made.extras) {
        expect(what.length, key).toBeGreaterThan(2);
        expect(count, `${key} ${what}`).toBeGreaterThan(0);
        // Things are counted, or have a length, or a weight.
        expect(length > 0 || grams !== undefined || count > 0, `${key} ${what}`).toBe(true);
      }
      expect(new Set(made.extras.map(({ what }) => what)).size, key).toBe(made.extras.length);
    },
  );

  it.each(PRESETS.map(({ key, piece }) => [key, piece] as const))(
    '%s: one list holds each part, net, sewn piece and thing bought, so many times as there are',
    (key, piece) => {
      const { document, derived, first } = setOf(piece);
      const made = first.made as MadePiece;
      const takings = takingsOf(document, derived, first);
      const total = (...kinds: readonly string[]): number =>
        takings.reduce((sum, taking) => {
          const kind = taking.kind === 'flat' ? taking.flat.kind : taking.kind;
          return sum + (kinds.includes(kind) ? taking.count : 0);
        }, 0);
      expect(total('cut', 'found'), key).toBe(made.assembly.parts.length);
      expect(total('net'), key).toBe(made.nets.reduce((sum, { copies }) => sum + copies.length, 0));
      expect(total('pattern'), key).toBe(made.sewing ? made.sewing.pattern.pieces.length * made.sewing.copies.length : 0);
      expect(total('besides'), key).toBe(made.extras.reduce((sum, { count }) => sum + count, 0));
      const tags = takings.flatMap((taking: Taking) => (taking.kind === 'cut' ? [taking.tag] : []));
      expect(new Set(tags).size, key).toBe(tags.length);
    },
  );

  it('of cloth: thread for what is sewn, filling for what is filled, rings or ribbon for what hangs by them, and the rod it hangs on', () => {
    const cloth = PRESETS.filter(({ kind }) => kind === 'cloth');
    for (const { key, piece } of cloth) {
      const made = madeOf(piece);
      const takes = made.extras.map(({ what }) => what).join(', ');
      const of = piece as { readonly form?: string; readonly way?: string; readonly hang?: string };
      const seams = made.sewing?.pattern.seams.length ?? 0;
      if (seams > 0) expect(takes, key).toMatch(/thread|glue|iron/);
      if (of.hang === 'rings') expect(takes, key).toMatch(/rings/);
      if (of.hang === 'tabs') expect(takes, key).toMatch(/ribbon/);
      if (made.assembly.parts.some(({ name }) => name === 'curtain'))
        expect(
          made.groups.some(({ name }) => name === 'curtain rod'),
          key,
        ).toBe(true);
    }
  });

  it('as many of anything as there are copies: three take three times the sticks, nets and pieces of one', () => {
    for (const { key, piece } of PRESETS.filter(({ kind }) => kind === 'cloth' || kind === 'odd' || kind === 'paper')) {
      const copies = (count: number): MadePiece | undefined => {
        const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [{ ...piece, count }] });
        return read.ok ? (derive(read.value).pieces[0]?.made ?? undefined) : undefined;
      };
      const [one, three] = [copies(1), copies(3)];
      if (!one || !three) continue;
      const sticks = (made: MadePiece): number => made.assembly.parts.filter(({ stuff }) => stuff === 'stick').length;
      expect(sticks(three), key).toBe(3 * sticks(one));
      for (const extra of one.extras) {
        const same = three.extras.find(({ what }) => what === extra.what);
        const total = (each: typeof extra | undefined): number => (each?.grams ?? each?.length) || (each?.count ?? 0);
        expect(total(same) / total(extra), `${key}: ${extra.what}`).toBeCloseTo(3, 1);
      }
    }
  });
});
