import { describe, expect, it } from 'vitest';
import { dollUm, realUm, UM } from '../../measure/index.ts';
import { type ClothThing, type OddThing, placesOf } from '../../piece/index.ts';
import { bounds } from '../../shape/index.ts';
import {
  applyEdit,
  arrangedIn,
  belongingTo,
  type ClothPlan,
  clothPlans,
  clothSheets,
  cutsOfCloth,
  derive,
  describeChange,
  describeFinding,
  edgeWords,
  inWay,
  lyingLine,
  makeUp,
  meansOf,
  readSet,
  readSetFile,
  type SetDocument,
  sheetsOfGood,
  writeSetFile,
} from '../index.ts';
import { describeMend } from '../words/describeMend.ts';

const setWith = (pieces: readonly object[], more: object = {}): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'cloth',
    doll: { name: 'A', height: '29 cm', stature: '174 cm' },
    boards: [{ id: 'white', nominal: '5 mm' }],
    palette: [{ id: 'red', name: 'red', colour: '#b0435a' }],
    cloths: [
      { id: 'cotton', name: 'cotton' },
      { id: 'felt', name: 'felt', kind: 'felt', width: '300 mm' },
      { id: 'narrow', name: 'narrow ribbon', width: '40 mm' },
    ],
    pieces,
    ...more,
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const BED = { family: 'bed', name: 'bed', mattressLength: '1800 mm', mattressWidth: '840 mm', mattressThickness: '180 mm' };
const CHAIR = {
  family: 'seat',
  name: 'chair',
  width: '450 mm',
  depth: '450 mm',
  seat: '450 mm',
  pad: '40 mm',
  back: 'board',
  height: '850 mm',
};
const TABLE = { family: 'table', name: 'table', width: '1200 mm', depth: '720 mm', height: '720 mm' };
const WINDOW = { family: 'opening', name: 'window', form: 'window', width: '720 mm', height: '900 mm', border: '60 mm' };
const cloth = (over: object): object => ({ family: 'cloth', name: 'thing', ...over });
const odd = (over: object): object => ({ family: 'odd', name: 'thing', ...over });

const changed = (document: SetDocument, id: string, change: object): SetDocument =>
  applyEdit(document, { kind: 'change-piece', id, change: change as never }).document;

const codes = (document: SetDocument, index: number): readonly string[] =>
  derive(document).pieces[index]?.findings.map(({ code }) => code) ?? [];

/** Follows the one-click mend of a finding, and tells what is still noticed. */
const mended = (document: SetDocument, index: number, code: string): readonly string[] => {
  const finding = derive(document).pieces[index]?.findings.find((each) => each.code === code);
  if (!finding?.mend) throw new Error(`no mend for ${code}`);
  expect(describeMend(finding.mend, { unit: 'mm', fine: false }).length).toBeGreaterThan(4);
  expect(describeFinding(finding, document.units).reason.length).toBeGreaterThan(20);
  return codes(applyEdit(document, finding.mend.edit).document, index);
};

describe('cloth that belongs to another piece', () => {
  it('a mattress follows its bed, a sheet and a comforter with it', () => {
    const on = { piece: 'piece-1', at: 'mattress 1' };
    const document = setWith([BED, cloth({ form: 'mattress cover', on }), cloth({ form: 'comforter', on, drop: '120 mm' })]);
    const first = derive(document);
    expect(first.pieces[1]?.made?.assembly.outside.max.slice(0, 1)).toEqual([300_000]);
    expect(first.pieces[1]?.made?.assembly.outside.max[2]).toBe(140_000);
    const wider = changed(document, 'piece-1', { mattressWidth: realUm(1_200 * UM.mm) });
    const next = derive(wider, first);
    expect(next.pieces[1]?.made?.assembly.outside.max[2]).toBe(200_000);
    // Its cut follows: the board wider, the cloth too.
    const [cover] = cutsOfCloth(wider, next, 'piece-2');
    expect((cover?.size[1] ?? 0) - (cutsOfCloth(document, first, 'piece-2')[0]?.size[1] ?? 0)).toBe(60_000);
    // Undone, all is the very same again.
    expect(derive(document, next).pieces[1]).toEqual(first.pieces[1]);
  });

  it('what did not change is taken over when another piece does', () => {
    const document = setWith([BED, TABLE, cloth({ form: 'mattress cover', on: { piece: 'piece-1', at: 'mattress 1' } })]);
    const first = derive(document);
    const next = derive(changed(document, 'piece-2', { width: realUm(1_500 * UM.mm) }), first);
    expect(next.pieces[2]).toBe(first.pieces[2]);
  });

  it('a cushion follows its chair, a curtain its window, a cloth its table', () => {
    const document = setWith([
      CHAIR,
      WINDOW,
      TABLE,
      cloth({ form: 'box cushion', height: '30 mm', on: { piece: 'piece-1', at: 'pad 1' } }),
      cloth({ form: 'curtain', height: '1200 mm', beyond: '120 mm', panels: 2, on: { piece: 'piece-2', at: 'window' } }),
      cloth({ form: 'table cloth', drop: '180 mm', on: { piece: 'piece-3', at: 'top' } }),
    ]);
    const sizes = (of: SetDocument, index: number) => derive(of).pieces[index]?.made?.assembly.outside.max ?? [0, 0, 0];
    expect(sizes(document, 4)[0]).toBe(120_000 + 2 * 10_000 + 2 * 20_000);
    const [w, , d] = sizes(document, 3);
    const pad = placesOf(document.pieces[0] as never, derive(document).pieces[0]?.made?.assembly as never, meansOf(document))[0];
    expect([w, d]).toEqual([pad?.space.width, pad?.space.depth]);
    const wide = changed(
      changed(changed(document, 'piece-1', { width: realUm(600 * UM.mm) }), 'piece-2', { width: realUm(900 * UM.mm) }),
      'piece-3',
      { depth: realUm(900 * UM.mm) },
    );
    expect(sizes(wide, 4)[0]).toBe(sizes(document, 4)[0] + 30_000);
    expect(sizes(wide, 3)[0]).toBe(w + 25_000);
    expect(sizes(wide, 5)[2]).toBe(sizes(document, 5)[2] + 30_000);
  });

  it('lies on the mattress, in the bed, over the table, before the window', () => {
    const document = setWith([
      BED,
      cloth({ form: 'mattress cover', on: { piece: 'piece-1', at: 'mattress 1' } }),
      cloth({ form: 'quilt', width: '1500 mm', depth: '700 mm', fits: false, on: { piece: 'piece-1', at: 'mattress 1' } }),
      TABLE,
      cloth({ form: 'table cloth', drop: '180 mm', on: { piece: 'piece-4', at: 'top' } }),
      odd({ form: 'lamp', on: { piece: 'piece-4', at: 'top' } }),
    ]);
    const derived = derive(document);
    const low = (id: string, host: string): number =>
      Math.min(...(belongingTo(document, derived, host).find(({ piece }) => piece === id)?.parts ?? []).map(({ pose }) => pose.origin[1]));
    const bed = placesOf(document.pieces[0] as never, derived.pieces[0]?.made?.assembly as never, meansOf(document))[0];
    expect(low('piece-2', 'piece-1')).toBe(bed?.base[1]);
    expect(low('piece-3', 'piece-1')).toBe(bed?.middle[1]);
    const height = derived.pieces[3]?.made?.assembly.outside.max[1] ?? 0;
    expect(low('piece-5', 'piece-4')).toBe(height - 30_000);
    expect(low('piece-6', 'piece-4')).toBe(height);
  });

  it('comes into the room with what it belongs to, hangs at the room’s own windows; rugs are walked on', () => {
    const room = {
      family: 'room',
      name: 'room',
      width: '4000 mm',
      depth: '3000 mm',
      height: '2400 mm',
      walls: [{ openings: [{ form: 'window', from: '1200 mm', up: '900 mm', width: '900 mm', height: '1000 mm' }] }],
    };
    const document = setWith(
      [
        room,
        TABLE,
        cloth({ form: 'table cloth', drop: '180 mm', on: { piece: 'piece-2', at: 'top' } }),
        cloth({ form: 'curtain', height: '1200 mm', on: { piece: 'piece-1', at: 'window 0.0.0' } }),
        cloth({ form: 'rug', width: '2400 mm', depth: '1800 mm' }),
      ],
      {
        layouts: [
          {
            id: 'a',
            name: 'A',
            room: 'piece-1',
            placed: [
              { piece: 'piece-2', x: '330 mm', z: '250 mm' },
              { piece: 'piece-5', x: '330 mm', z: '250 mm' },
            ],
          },
        ],
      },
    );
    const arranged = arrangedIn(document, derive(document), 'piece-1');
    if (!arranged) throw new Error('no room');
    expect(arranged.onThings.map(({ piece }) => piece)).toEqual(['piece-3', 'piece-4']);
    expect(arranged.sewn.map(({ piece }) => piece).sort()).toEqual(['piece-3', 'piece-4', 'piece-5']);
    expect(arranged.judged.clashes).toEqual([]);
    // The curtain hangs from above its frame, in front of the wall, as wide as its rod.
    const curtain = arranged.onThings.find(({ piece }) => piece === 'piece-4')?.body.whole;
    const [cx, cy, cz] = arranged.space.corner;
    const opening = arranged.space.sides[0]?.openings[0];
    expect(((curtain?.min[0] ?? 0) + (curtain?.max[0] ?? 0)) / 2 - cx).toBeCloseTo(((opening?.x0 ?? 0) + (opening?.x1 ?? 0)) / 2, -1);
    expect((curtain?.max[1] ?? 0) - cy).toBeGreaterThan(opening?.y1 ?? 0);
    expect((curtain?.min[2] ?? 0) - cz).toBeGreaterThanOrEqual(-1);
    // What is sewn is where its body is.
    const frame = arranged.sewn.find(({ piece }) => piece === 'piece-4')?.frame;
    expect(frame?.origin.every((um, axis) => Math.abs(um - (curtain?.min[axis] ?? 0)) < 12_000)).toBe(true);
  });
});

describe('cloth as it is cut', () => {
  const THREE = [
    cloth({ form: 'cushion', width: '420 mm', depth: '420 mm', height: '150 mm', count: 3 }),
    cloth({ form: 'quilt', cloths: { main: 'cotton', second: 'felt' }, width: '1500 mm', depth: '700 mm', layers: 2 }),
    cloth({ form: 'rug', round: true, width: '900 mm', way: 'felt', cloths: { main: 'felt', second: null } }),
  ];

  it('pieces alike are one, so many of them; batting is no cloth', () => {
    const document = setWith(THREE);
    const derived = derive(document);
    expect(cutsOfCloth(document, derived, 'piece-1').map(({ tag, count, name }) => [tag, count, name])).toEqual([['1a', 6, 'front, back']]);
    expect(cutsOfCloth(document, derived, 'piece-2').map(({ cloth: of, count }) => [of, count])).toEqual([
      ['cotton', 1],
      ['felt', 1],
      ['batting', 2],
    ]);
  });

  const placed = ({ laid }: ClothPlan): number => laid.places.length + laid.rests.reduce((sum, { places }) => sum + places.length, 0);

  it('lies on its cloth, all of it, its outlines within their places', () => {
    const document = setWith(THREE);
    const derived = derive(document);
    const plans = clothPlans(document, derived);
    expect(plans.map((plan) => [plan.cloth.id, placed(plan)])).toEqual([
      ['cotton', 7],
      ['felt', 2],
    ]);
    for (const { laid, cuts } of plans)
      for (const { id, x, y, width, height, turned } of laid.places) {
        const cut = cuts.find(({ tag }) => tag === id.split(' ')[0]);
        if (!cut) throw new Error(id);
        const box = bounds(lyingLine(cut, x, y, turned));
        expect([box.x0, box.y0, box.x1 - box.x0, box.y1 - box.y0]).toEqual([x, y, width, height]);
      }
  });

  it('scraps are used before a length is cut', () => {
    const document = setWith(THREE.slice(0, 1), {
      cloths: [{ id: 'cotton', name: 'cotton', scraps: [{ id: 's', width: '200 mm', height: '100 mm' }] }],
    });
    const [plan] = clothPlans(document, derive(document));
    expect(plan?.laid.rests[0]?.places.length).toBe(2);
    expect(plan?.laid.places.length).toBe(4);
  });

  it('is printed at true size: any two points as far apart as on the cloth', () => {
    const document = setWith(THREE.slice(0, 1));
    const derived = derive(document);
    const { pages } = makeUp(document, derived, { pieces: null, what: 'patterns' });
    expect(pages).toHaveLength(1);
    const [cut] = cutsOfCloth(document, derived, 'piece-1');
    const lines = (pages[0]?.marks ?? [])
      .flatMap((mark) => (mark.kind === 'group' ? mark.marks : [mark]))
      .flatMap((mark) => (mark.kind === 'line' && mark.style === 'cut' && mark.closed ? [mark] : []));
    const box = bounds(lines[0]?.points ?? []);
    expect([box.x1 - box.x0, box.y1 - box.y0].sort()).toEqual([...(cut?.size ?? [])].sort());
    expect(makeUp(document, derived, { pieces: null, what: 'templates' }).pages.flatMap(({ parts }) => parts)).not.toContain('1a');
    expect(makeUp(document, derived, { pieces: ['piece-1'], what: 'all' }).pages.flatMap(({ parts }) => parts)).toContain('1a');
  });

  it('what is larger than a page is printed in tiles', () => {
    const document = setWith([cloth({ form: 'flat sheet', width: '2000 mm', depth: '1600 mm' })]);
    const { pages } = makeUp(document, derive(document), { pieces: null, what: 'patterns' });
    expect(pages.length).toBeGreaterThan(2);
  });

  it('a page says what is cut, how often, of which cloth and how its edges are worked', () => {
    const document = setWith(THREE);
    const derived = derive(document);
    const sheets = clothSheets(document, derived, null);
    expect(sheets.map(({ tag }) => tag)).toEqual(['1a', '2a', '2b', '2c', '3a']);
    expect(sheets[0]?.words).toEqual(['cut 6 of cotton', 'seams 6 mm']);
    expect(sheets[0]?.openings.length).toBe(1);
    expect(sheets[3]?.words).toEqual(['cut 2 of batting']);
    const [curtain] = clothSheets(
      setWith([cloth({ form: 'curtain', height: '1200 mm' })]),
      derive(setWith([cloth({ form: 'curtain', height: '1200 mm' })])),
      null,
    );
    expect(edgeWords((curtain as (typeof sheets)[number]).piece, document.units).length).toBe(2);
  });

  it('sewn beside no-sew: the same thing, other allowances, other takings', () => {
    const document = setWith(THREE);
    const derived = derive(document);
    const thing = document.pieces[0] as ClothThing;
    const [sewn, felt, tape] = (['sewn', 'felt', 'tape'] as const).map((way) => inWay(document, derived, thing, way));
    expect(sewn?.extras.map(({ what }) => what)).toContain('thread');
    expect(tape?.extras.find(({ what }) => what === 'iron tape')?.wide).toBe(6_000);
    expect((felt?.cuts[0]?.size[0] ?? 0) < (sewn?.cuts[0]?.size[0] ?? 0)).toBe(true);
    expect(inWay(document, derived, { ...thing, width: { doll: dollUm(3_000) } } as ClothThing, 'felt')).toBe(undefined);
  });
});

describe('what is noticed about cloth', () => {
  it('a cushion smaller than its seams', () => {
    const document = setWith([cloth({ form: 'cushion', width: '110 mm', depth: '110 mm', height: '40 mm', seam: '6 mm' })]);
    expect(codes(document, 0)).toContain('within-seams');
    expect(mended(document, 0, 'within-seams')).not.toContain('within-seams');
  });

  it('a curtain too short for its rod, and one that hangs flat', () => {
    const document = setWith([cloth({ form: 'curtain', height: '1200 mm', fullness: 90 })]);
    expect(derive(document).pieces[0]?.findings.find(({ code }) => code === 'curtain-skimpy')?.severity).toBe('error');
    expect(mended(document, 0, 'curtain-skimpy')).not.toContain('curtain-skimpy');
    expect(
      derive(changed(document, 'piece-1', { fullness: 120 })).pieces[0]?.findings.find(({ code }) => code === 'curtain-skimpy')?.severity,
    ).toBe('warning');
  });

  it('a drop that reaches the floor', () => {
    const document = setWith([TABLE, cloth({ form: 'table cloth', drop: '800 mm', on: { piece: 'piece-1', at: 'top' } })]);
    expect(codes(document, 1)).toContain('reaches-floor');
    expect(mended(document, 1, 'reaches-floor')).not.toContain('reaches-floor');
  });

  it('cloth narrower than the piece across its grain', () => {
    const document = setWith([cloth({ form: 'cushion', cloths: { main: 'narrow', second: null } })]);
    expect(codes(document, 0)).toContain('cloth-too-narrow');
    expect(mended(document, 0, 'cloth-too-narrow')).not.toContain('cloth-too-narrow');
  });

  it('cloth that frays, left as it is cut', () => {
    const document = setWith([cloth({ form: 'rug', way: 'felt', cloths: { main: 'cotton', second: null } })]);
    expect(codes(document, 0)).toContain('cloth-frays');
    expect(mended(document, 0, 'cloth-frays')).not.toContain('cloth-frays');
  });

  it('hot glue through batting, with its caution', () => {
    const document = setWith([cloth({ form: 'mattress cover', way: 'glued' })]);
    const finding = derive(document).pieces[0]?.findings.find(({ code }) => code === 'glue-through');
    expect(finding && describeFinding(finding, document.units).reason).toContain('grown-up');
    expect(codes(changed(document, 'piece-1', { way: 'sewn' }), 0)).not.toContain('glue-through');
  });

  it('a quilt that does not fold, a mattress that is not its bed’s', () => {
    const document = setWith([
      BED,
      cloth({ form: 'quilt', width: '1500 mm', depth: '700 mm', gap: '2 mm' }),
      cloth({ form: 'mattress cover', layers: 1, on: { piece: 'piece-1', at: 'mattress 1' } }),
    ]);
    expect(codes(document, 1)).toContain('quilt-folds-not');
    expect(mended(document, 1, 'quilt-folds-not')).not.toContain('quilt-folds-not');
    expect(codes(document, 2)).toContain('mattress-off');
    expect(mended(document, 2, 'mattress-off')).not.toContain('mattress-off');
  });

  it('a thing too tall for its table, or wider than it', () => {
    const low = { ...TABLE, height: '300 mm', width: '300 mm', depth: '300 mm' };
    const document = setWith([
      low,
      odd({ form: 'lamp', height: '600 mm', width: '400 mm', foot: '160 mm', on: { piece: 'piece-1', at: 'top' } }),
    ]);
    expect(codes(document, 1)).toEqual(expect.arrayContaining(['too-tall-for-place', 'wider-than-place']));
    expect(mended(document, 1, 'too-tall-for-place')).not.toContain('too-tall-for-place');
  });

  it('a place that is gone', () => {
    const document = setWith([TABLE, odd({ form: 'vase', on: { piece: 'piece-1', at: 'top' } })]);
    expect(codes(document, 1)).not.toContain('place-gone');
    const without = applyEdit(document, { kind: 'remove-piece', id: 'piece-1' }).document;
    expect(codes(without, 0)).toContain('place-gone');
    expect(mended(without, 0, 'place-gone')).not.toContain('place-gone');
  });

  it('a small part for a small child', () => {
    expect(codes(setWith([odd({ form: 'key', width: '110 mm', height: '35 mm' })]), 0)).toContain('small-part');
    expect(codes(setWith([odd({ form: 'lamp' })]), 0)).not.toContain('small-part');
  });
});

describe('cloth and odd things in files and histories', () => {
  it('come back from a file the very same', () => {
    const document = setWith([
      BED,
      cloth({ form: 'curtain' }),
      cloth({ form: 'comforter', on: { piece: 'piece-1', at: 'mattress 1' } }),
      odd({ form: 'cake', slices: 6, gone: 1 }),
    ]);
    const back = readSetFile(writeSetFile(document));
    expect(back.ok && back.value).toEqual(document);
  });

  it('a set from before there was cloth has the first two', () => {
    const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'old' });
    expect(read.ok && read.value.cloths.map(({ id }) => id)).toEqual(['cotton', 'felt']);
  });

  it('says what is wrong with a cloth, by its field', () => {
    const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'x', cloths: [{ id: 'a', width: '1 mm' }, { id: 'a' }] });
    expect(read.ok).toBe(false);
    expect(JSON.stringify(!read.ok && read.error)).toContain('cloths');
  });

  it('a change is told in words', () => {
    const document = setWith([BED, cloth({ form: 'cushion', name: 'cushion' })]);
    const told = (change: object): string => JSON.stringify(describeChange(document, changed(document, 'piece-2', change)));
    expect(told({ on: { piece: 'piece-1', at: 'mattress 1' } })).toContain('what it lies or hangs on');
    expect(told({ cloths: { main: 'felt', second: null } })).toContain('its cloth');
    expect(told({ fits: false })).toContain('its own');
    const cloths = applyEdit(document, { kind: 'change-set', change: { cloths: document.cloths.slice(0, 1) } }).document;
    expect(JSON.stringify(describeChange(document, cloths))).toContain('taken away');
  });

  it('what is rolled of an odd thing is printed in its colours, leaves green', () => {
    const document = setWith([odd({ form: 'plant', grounds: ['red'], extras: 4 })]);
    const derived = derive(document);
    const sheets = sheetsOfGood(document, derived, derived.pieces[0] as never);
    expect(sheets.map(({ net }) => net.name)).toEqual(['pot', 'bottom', 'green leaf']);
    expect(sheets[0]?.sheet.ground).toBe('#b0435a');
    expect(sheets[2]?.sheet.ground).not.toBe('#b0435a');
    expect(sheets[2]?.copies).toHaveLength(4);
    expect((document.pieces[0] as OddThing).found).toBe(false);
  });
});
