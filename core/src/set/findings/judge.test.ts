// What a careful maker would notice about pieces of every family, and that each mend does away with what it mends.
import { describe, expect, it } from 'vitest';
import { fromPreset, PRESETS } from '../../piece/index.ts';
import {
  applyEdit,
  derive,
  describeFinding,
  describeMend,
  type Finding,
  fitRule,
  meansOf,
  readSet,
  type SetDocument,
  templatesOf,
} from '../index.ts';

const read = (pieces: readonly object[], more: object = {}): SetDocument => {
  const result = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    boards: [{ id: 'white', nominal: '5 mm', measured: '4.8 mm', sheets: ['A1'] }],
    pieces,
    ...more,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const preset = (key: string, over: object = {}): object => {
  const found = PRESETS.find((each) => each.key === key);
  if (!found) throw new Error(key);
  return { ...found.piece, ...over };
};

const findings = (document: SetDocument): readonly Finding[] => derive(document).pieces.flatMap((piece) => piece.findings);
const find = (document: SetDocument, code: Finding['code']): Finding | undefined => findings(document).find((each) => each.code === code);

/** The finding is there, says so in words with numbers, and its mend, where there is one, does away with it. */
const noticed = (document: SetDocument, code: Finding['code'], words: RegExp, mend?: RegExp): void => {
  const finding = find(document, code);
  expect(finding, code).toBeDefined();
  if (!finding) return;
  const { title, reason } = describeFinding(finding, document.units);
  expect(`${title}. ${reason}`).toMatch(words);
  if (!mend) {
    expect(finding.mend).toBeNull();
    return;
  }
  if (!finding.mend) throw new Error(`${code} has no mend`);
  expect(describeMend(finding.mend, { unit: 'mm', fine: false })).toMatch(mend);
  const mended = applyEdit(document, finding.mend.edit);
  expect(find(mended.document, code), 'mended').toBeUndefined();
  expect(derive(mended.document).pieces.every(({ problem }) => problem === null)).toBe(true);
  expect(applyEdit(mended.document, mended.inverse).document).toEqual(document);
};

const door = (over: object) => ({ kind: 'door', fit: 'inset', gap: '0.5 mm', ...over });

describe('doors and drawers', () => {
  it('an overlay door that hangs behind hits its neighbour on the same upright: let it sit inside', () => {
    const front = { kind: 'columns', slots: [{ cell: door({ fit: 'overlay' }) }, { cell: door({ fit: 'overlay' }) }] };
    noticed(
      read([{ width: '1200 mm', height: '700 mm', depth: '400 mm', front }]),
      'door-stopped',
      /does not swing.*runs into .*as soon as|does not swing.*runs into .*after \d+°/,
      /sit inside/,
    );
  });

  it('a narrow inset door sticks at its far corner: a wider gap', () => {
    noticed(
      read([{ width: '180 mm', height: '600 mm', depth: '300 mm', front: door({ gap: '0.1 mm' }) }]),
      'door-stopped',
      /far corner swings .* beyond its edge; the gap is 0\.1 mm/,
      /a gap of [\d.]+ mm/,
    );
  });

  it('pins too near the edge let the corner hit the frame: pins farther in, by √(a² + (t/2)²)', () => {
    noticed(
      read([{ width: '600 mm', height: '600 mm', depth: '400 mm', front: door({ hang: 'pins', pin: '1 mm', gap: '0.6 mm' }) }]),
      'door-stopped',
      /does not swing/,
      /pins [\d.]+ mm from the edge/,
    );
  });

  it('a drawer behind another one’s path does not slide; behind a door it does, for that is opened', () => {
    const behind = { kind: 'door', hinge: 'left', fit: 'inset', behind: { kind: 'drawers', make: 'running', count: 2, fit: 'inset' } };
    expect(find(read([{ width: '700 mm', height: '700 mm', depth: '450 mm', front: behind }]), 'door-stopped')).toBeUndefined();
  });
});

describe('what stands there, and what carries it', () => {
  it('a shelf less deep than what stands on it is made deeper', () => {
    noticed(
      read([
        {
          width: '900 mm',
          height: '1000 mm',
          depth: '150 mm',
          standing: 'fixed to the wall',
          front: { kind: 'shelves', count: 2, holds: 'ring binder' },
        },
      ]),
      'shelf-too-shallow',
      /A ring binder needs .* of depth .* there are/,
      /deeper/,
    );
  });

  it('shelves at stated heights are measured gap by gap', () => {
    const front = { kind: 'shelves', spacing: 'positions', at: ['100 mm', '500 mm'], holds: 'hardback' };
    noticed(read([{ width: '500 mm', height: '900 mm', depth: '300 mm', front }]), 'shelf-gap-too-low', /hardback needs 40 mm/);
    const room = { ...front, at: ['300 mm', '600 mm'] };
    expect(find(read([{ width: '500 mm', height: '950 mm', depth: '300 mm', front: room }]), 'shelf-gap-too-low')).toBeUndefined();
  });

  it('as many shelves as what stands there allows leave no gap too low, and one more would', () => {
    const front = (over: object) => ({ kind: 'shelves', holds: 'paperback', ...over });
    const piece = (over: object) => ({
      width: '500 mm',
      height: '1500 mm',
      depth: '300 mm',
      standing: 'fixed to the wall',
      front: front(over),
    });
    const fitted = read([piece({ spacing: 'by what stands there' })]);
    expect(find(fitted, 'shelf-gap-too-low')).toBeUndefined();
    const count = derive(fitted).pieces[0]?.made?.assembly.parts.filter(({ role }) => role === 'shelf').length ?? 0;
    expect(count).toBeGreaterThan(3);
    expect(find(read([piece({ count: count + 2 })]), 'shelf-gap-too-low')).toBeDefined();
  });

  it('a long board sags, and layers of it do not', () => {
    noticed(
      read([preset('trestle-table', { stretchers: 'none' })]),
      'long-span',
      /sag.*runs .* without support.*carries about 192 mm/,
      /glue up 2 layers/,
    );
  });

  it('a top-heavy piece tips; a table too tall does not go under the sill', () => {
    noticed(read([preset('bookcase')]), 'tips-over', /It tips/, /fix it to the wall/);
    noticed(read([preset('panel-desk', { under: '700 mm' })]), 'goes-not-under', /120 mm high .* under 116\.5 mm|go under/, /lower/);
  });
});

describe('board, layers, joints', () => {
  it('strips of a window by itself, or in a wall, are trim: only what no knife cuts is too narrow', () => {
    for (const panes of [
      { barsUpright: 2, barsLying: 3 },
      { barsUpright: 0, barsLying: 5 },
      { sill: '0 mm', corners: 'mitred' },
    ]) {
      const codes = findings(read([{ family: 'opening', form: 'window', name: 'window', ...panes }])).map(({ code }) => code);
      expect(codes, JSON.stringify(panes)).not.toContain('part-too-narrow');
    }
    noticed(read([{ family: 'opening', form: 'window', name: 'window', bar: '8 mm' }]), 'part-too-narrow', /glazing bar is .* wide/);
    // The leaf of a door is a board like any other.
    noticed(read([{ family: 'opening', name: 'slot', width: '110 mm', panelsAcross: 0 }]), 'part-too-narrow', /leaf is .* wide/);
  });

  it('says what layers come to, what is too narrow for the knife, and what has hardly any glue', () => {
    noticed(
      read([preset('dining-table', { thick: { top: '60 mm' } })]),
      'layers-off',
      /Glued up from 3 boards.*10 mm wanted, 14\.4 mm come of it, 4\.4 mm more|Glued up/,
    );
    noticed(
      read([preset('bookcase', { plinth: '40 mm', standing: 'fixed to the wall' })]),
      'part-too-narrow',
      /plinth is .* wide; narrower than .*9\.[56] mm/,
    );
    const speck = preset('corner-shelf', {
      panels: [
        { id: 'back', name: 'back' },
        {
          id: 'post',
          name: 'post',
          facing: 'side',
          against: { face: 'left' },
          across: { from: { of: 'back', face: 'front' }, to: { face: 'front' } },
          along: { from: { face: 'bottom', away: '890 mm' }, to: { face: 'top' } },
        },
      ],
    });
    const joints = findings(read([speck]))
      .filter(({ code }) => code === 'little-joint')
      .map((each) => describeFinding(each, { unit: 'mm', fine: false }).reason);
    expect(joints.join(' ')).toMatch(/post touches the rest on [\d.]+ mm²; less than 23 mm²/);
  });

  it('an opening that is not over its bay is centred again', () => {
    const openings = [
      { x: '60 mm', y: '60 mm', width: '500 mm', height: '1000 mm' },
      { x: '620 mm', y: '60 mm', width: '300 mm', height: '1000 mm' },
    ];
    noticed(
      read([preset('framed-cupboard', { frame: { border: '70 mm', openings } })]),
      'opening-off-bay',
      /stands .* into it/,
      /centre the openings/,
    );
  });

  it('a lamp that is walled in on every side is noticed; one that a door opens on is not', () => {
    const holes = [{ panel: 'top', what: 'lamp', across: '200 mm', up: '200 mm', diameter: '5 mm' }];
    const closed = { width: '500 mm', height: '500 mm', depth: '400 mm', holes, worktop: {}, front: { kind: 'plate', fit: 'inset' } };
    noticed(read([closed]), 'lamp-shut-in', /walls on every side/);
    expect(find(read([{ ...closed, front: door({}) }]), 'lamp-shut-in')).toBeUndefined();
  });
});

describe('holes', () => {
  it('go through any panel that stands, all its layers, with their centre on the template', () => {
    const front = { kind: 'columns', slots: [{ cell: { kind: 'shelves', count: 1 } }, {}] };
    const hole = (panel: string) => ({ panel, what: 'wire', across: '100 mm', up: '90 mm', diameter: '4 mm' });
    const document = read([
      {
        width: '900 mm',
        height: '600 mm',
        depth: '300 mm',
        thick: { inner: { doll: '9 mm' } },
        worktop: {},
        front,
        holes: ['divider-0', 'shelf-0-0', 'worktop', 'left'].map(hole),
      },
    ]);
    const made = derive(document).pieces[0]?.made;
    const pierced = made?.assembly.parts.filter(({ region }) => region.holes.length > 0).map(({ name }) => name);
    expect(pierced?.sort()).toEqual(['left side', 'shelf, layer 1', 'shelf, layer 2', 'upright, layer 1', 'upright, layer 2', 'worktop']);
    expect(made?.inspection.interference).toEqual([]);
    const centres = templatesOf(document, derive(document), { pieces: null }).filter((template) => template.centres.length > 0);
    expect(centres.every(({ centres: [at] }) => at?.[0] === 16_667 && at?.[1] === 15_000)).toBe(true);
    noticed(read([{ holes: [hole('nothing')] }]), 'does-not-fit', /there is no panel “nothing”/);
    noticed(
      read([{ width: '300 mm', holes: [{ ...hole('top'), across: '298 mm' }] }]),
      'does-not-fit',
      /a hole for a wire in the top panel/,
    );
  });
});

describe('free panels', () => {
  const stool = preset('step-stool') as { panels: { id: string }[] };
  it('placed by a face that is not there are refused with its name', () => {
    const panels = [...stool.panels, { id: 'x', name: 'brace', against: { of: 'nobody', face: 'front' } }];
    noticed(read([{ ...stool, panels }]), 'unknown-face', /Brace is placed by the front of nobody/);
  });

  it('that run into each other or touch nothing are named by their tags', () => {
    const through = [...stool.panels, { id: 'x', name: 'brace', facing: 'front', against: { face: 'back', away: '200 mm' } }];
    noticed(read([{ ...stool, panels: through }]), 'parts-interfere', /1\w cheek and 1\w brace|share the same space/);
    const afloat = [
      ...stool.panels,
      {
        id: 'x',
        name: 'moon',
        facing: 'up',
        against: { of: 'top', face: 'top', away: '100 mm' },
        along: { from: { face: 'back' }, to: { face: 'front' } },
        outline: 'round',
      },
    ];
    noticed(read([{ ...stool, panels: afloat }]), 'part-is-loose', /moon touches no other part/);
  });
});

describe('templates', () => {
  const templates = (piece: object) => {
    const document = read([piece]);
    return templatesOf(document, derive(document), { pieces: null });
  };

  it('carry hinge leaves with their sizes: on the door, and as a strip with a score in its middle', () => {
    const all = templates({ width: '600 mm', height: '800 mm', depth: '400 mm', front: door({ gap: '1 mm' }) });
    const leaf = all.find(({ name }) => name.startsWith('door'));
    const hinge = all.find(({ name }) => name === 'paper hinge');
    const marked = leaf?.guides.find(({ tag }) => tag === 'hinge');
    const width = Math.max(...(marked?.region.outline.map(([x]) => x) ?? [0]));
    expect(width).toBe(12_000);
    expect(marked?.face).toBe('front');
    expect(hinge?.scores).toEqual([
      [
        [12_000, 0],
        [12_000, Math.max(...(leaf?.region.outline.map(([, y]) => y) ?? []))],
      ],
    ]);
    expect(Math.max(...(hinge?.region.outline.map(([x]) => x) ?? []))).toBe(24_000);
  });

  it('carry the centres of pins on the boards above and below the door, in one line with its own', () => {
    const document = read([preset('microwave')]);
    const derived = derive(document);
    const all = templatesOf(document, derived, { pieces: null });
    const pinned = all.filter(({ centres, name }) => centres.length > 0 && /top|bottom|door/.test(name));
    expect(pinned.map(({ name }) => name).sort()).toEqual(['bottom', 'door hinged left', 'top']);
    const lid = all.find(({ name }) => name === 'turntable');
    expect(lid?.centres).toHaveLength(1);
  });

  it('draw sticks at true length with a mark wherever something is glued, and wire as it is bent', () => {
    const all = templates(preset('loft-bed'));
    const rung = all.find(({ name }) => name === 'rung');
    expect(rung?.sizes).toMatch(/craft stick, .* long/);
    const post = all.find(({ name }) => name === 'post');
    expect(post?.guides.length).toBeGreaterThan(1);
    for (const { region } of post?.guides ?? []) {
      const xs = region.outline.map(([x]) => x);
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...xs)).toBeLessThanOrEqual(Math.max(...(post?.region.outline.map(([x]) => x) ?? [])));
    }
    const tine = templates(preset('dishwasher')).find(({ name }) => name === 'tine');
    expect(tine?.region.outline).toHaveLength(8);
    expect(templates(preset('sink-unit')).some(({ name }) => name.includes('found'))).toBe(false);
  });
});

describe('every cut on the rule', () => {
  it('of each preset: never fewer on the rule than before, and the edit does what was shown', () => {
    for (const each of PRESETS) {
      const document = read([each.piece], { boards: [{ id: 'white', nominal: '5 mm' }] });
      const piece = document.pieces[0] as SetDocument['pieces'][number];
      const fit = fitRule(piece, meansOf(document), 1_000);
      expect(fit.after, each.key).toBeGreaterThanOrEqual(fit.before);
      if (!fit.edit) continue;
      const changed = applyEdit(document, fit.edit);
      const again = fitRule(changed.document.pieces[0] as typeof piece, meansOf(changed.document), 1_000);
      expect(again.before, each.key).toBe(fit.after);
      expect(derive(changed.document).pieces[0]?.problem).toBeNull();
      // The smallest change: no outer size moves by more than three steps of the rule.
      expect(fit.changes.every(({ from, to }) => Math.abs(to - from) <= 6_000)).toBe(true);
      expect(applyEdit(changed.document, changed.inverse).document).toEqual(document);
    }
  });

  it('puts all cuts of a plain box of 5 mm board on whole millimetres, and of 3/16 in board on sixteenths', () => {
    const box = read([preset('box')], { boards: [{ id: 'w', nominal: '5 mm' }] });
    expect(
      fitRule(fromPreset(PRESETS.find(({ key }) => key === 'box') as (typeof PRESETS)[number], 'p', 1), meansOf(box), 1_000),
    ).toMatchObject({ sizes: 10, before: 0, after: 10 });
    const inches = read([preset('box')], { boards: [{ id: 'w', nominal: '3/16 in' }] });
    expect(fitRule(inches.pieces[0] as SetDocument['pieces'][number], meansOf(inches), 25_400 / 16)).toMatchObject({ after: 10 });
  });
});
