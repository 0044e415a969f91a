import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { PRESETS } from '@parlor/core/piece';
import papaparse from 'papaparse';
import { describe, expect, it } from 'vitest';
import { PLANNED_SCALES, wrongWithPreset } from './presets.testing.ts';

const root = resolve(import.meta.dirname, '../..');
const place = () => mkdtempSync(join(tmpdir(), 'parlor-cli-'));
const parlor = (...words: string[]) =>
  spawnSync(process.execPath, [join(root, 'cli/dist/main.js'), ...words], {
    encoding: 'utf8',
    cwd: root,
    env: { ...process.env, INIT_CWD: root },
  });

type Json = {
  pieces: {
    id: string;
    parts: {
      id: string;
      tag: string;
      stuff: string;
      stock: string;
      thicknessUm: number;
      outline: number[][];
      pose: { origin: number[]; u: number[]; v: number[] };
    }[];
    flats: { kind: string; tag: string; count: number; folds: unknown[]; tabs: unknown[] }[];
    takes: { kind: string; tag?: string; what: string; count: number; lengthUm?: number }[];
  }[];
  sheets: {
    stock: string;
    widthUm: number;
    heightUm: number;
    placements: { partId: string; xUm: number; yUm: number; turn: number; mirrored: boolean }[];
  }[];
  bounds: Record<string, number>;
  findings: { code: string; message: string }[];
};

type Planned = { readonly json: Json; readonly directory: string };

const planned = (file: string): Planned => {
  const directory = join(place(), 'out');
  expect(parlor('plan', file, '--out', directory)).toMatchObject({ status: 0, stderr: '' });
  return { json: JSON.parse(readFileSync(join(directory, 'derived.json'), 'utf8')), directory };
};

/** The plan of a demo set, made once for all who look at it. */
const demo = new Map<string, Planned>();
const plannedDemo = (name: string): Planned => {
  const plan = demo.get(name) ?? planned(`demo/${name}.parlor.json`);
  demo.set(name, plan);
  return plan;
};

// A demo set with all its coverings takes a quiet machine 17 s.
describe('parlor plan', { timeout: 240_000 }, () => {
  it('writes the files that there is something for, and the same bytes each time', () => {
    const file = join(place(), 'two.parlor.json');
    const set = JSON.parse(readFileSync(join(root, 'demo/2-potting-shed.parlor.json'), 'utf8')) as { pieces: unknown[] };
    writeFileSync(file, JSON.stringify({ ...set, pieces: set.pieces.slice(0, 2), layouts: [] }));
    const [one, two] = [planned(file), planned(file)];
    expect(readdirSync(one.directory).sort()).toEqual(
      expect.arrayContaining(['cut-list.csv', 'derived.json', 'sheets.svg', 'templates.pdf']),
    );
    for (const name of readdirSync(one.directory))
      expect(readFileSync(join(one.directory, name)).equals(readFileSync(join(two.directory, name)))).toBe(true);
  });

  it('plans the hand-written example of the documentation', () => {
    const text = readFileSync(join(root, 'docs/project-format.md'), 'utf8');
    const example = /```json\n(\{\n {2}"format"[\s\S]*?)```/.exec(text)?.[1] ?? '';
    const file = join(place(), 'shelf.parlor.json');
    writeFileSync(file, example);
    const { json } = planned(file);
    expect(json.pieces).toHaveLength(1);
    expect(json.pieces[0]?.parts.length).toBeGreaterThan(5);
    expect(json.bounds).toEqual({ white: 1 });
  });

  it('its derived.json closes: parts, extruded along u × v, stand in the stated box and fill it', () => {
    const { json } = plannedDemo('1-harbour-post-office');
    const [bookcase] = json.pieces;
    const corners = (bookcase?.parts ?? []).flatMap(({ outline, thicknessUm, pose: { origin, u, v } }) => {
      const n = [0, 1, 2].map(
        (axis) =>
          (u[(axis + 1) % 3] as number) * (v[(axis + 2) % 3] as number) - (u[(axis + 2) % 3] as number) * (v[(axis + 1) % 3] as number),
      );
      return outline.flatMap(([x, y]) =>
        [0, thicknessUm].map((height) =>
          [0, 1, 2].map(
            (axis) =>
              (origin[axis] as number) +
              (x as number) * (u[axis] as number) +
              (y as number) * (v[axis] as number) +
              height * (n[axis] as number),
          ),
        ),
      );
    });
    const most = [0, 1, 2].map((axis) => Math.max(...corners.map((corner) => corner[axis] as number)));
    const least = [0, 1, 2].map((axis) => Math.min(...corners.map((corner) => corner[axis] as number)));
    // 900 × 1800 × 300 mm at 1:6.
    expect([least, most]).toEqual([
      [0, 0, 0],
      [150_000, 300_000, 50_000],
    ]);
  });

  it('places every part that fits inside its sheet, and never fewer sheets than the bound', () => {
    const { json } = plannedDemo('3-night-ferry-hall');
    const parts = new Map(json.pieces.flatMap((piece) => piece.parts.map((part) => [part.id, part])));
    for (const { widthUm, heightUm, placements, stock } of json.sheets) {
      for (const { partId, xUm, yUm, turn } of placements) {
        const part = parts.get(partId);
        expect(part?.stock).toBe(stock);
        const [w, h] = [0, 1].map((axis) => {
          const along = (part?.outline ?? []).map((point) => point[axis] as number);
          return Math.max(...along) - Math.min(...along);
        }) as [number, number];
        expect(xUm + (turn % 2 === 1 ? h : w) <= widthUm && yUm + (turn % 2 === 1 ? w : h) <= heightUm).toBe(true);
      }
    }
    for (const [stock, least] of Object.entries(json.bounds))
      expect(json.sheets.filter((sheet) => sheet.stock === stock).length).toBeGreaterThanOrEqual(least);
    expect(json.findings.every(({ code, message }) => /^[a-z-]+$/.test(code) && message.endsWith('.'))).toBe(true);
  });

  const fileOf = (pieces: readonly object[], more: object = {}): string => {
    const file = join(place(), 'set.parlor.json');
    writeFileSync(file, JSON.stringify({ format: 'bashful-parlor-set', version: 1, name: 'a set', pieces, ...more }));
    return file;
  };

  it('of paper and cloth alone: nets with folds and tabs, patterns with their cloth, and no page of templates', () => {
    const { json, directory } = planned(
      fileOf([
        { family: 'paper', name: 'box' },
        { family: 'cloth', name: 'cushion' },
      ]),
    );
    expect(readdirSync(directory).sort()).toEqual(['coverings.pdf', 'cut-list.csv', 'derived.json', 'patterns.pdf']);
    const flats = json.pieces.flatMap(({ flats: its }) => its);
    expect(flats.map(({ kind }) => kind)).toEqual(['net', 'pattern']);
    expect(flats[0]?.folds.length).toBeGreaterThan(3);
    expect(flats[0]?.tabs.length).toBeGreaterThan(0);
    const table = papaparse.parse<Record<string, string>>(readFileSync(join(directory, 'cut-list.csv'), 'utf8').trim(), { header: true });
    const rows = table.data.filter((row) => row['tag'] !== '');
    // Thread and filling have no tag.
    expect(table.data.filter((row) => row['tag'] === '').map((row) => row['part'])).toEqual([
      expect.stringMatching(/thread/),
      expect.stringMatching(/fill|wadding|stuffing/),
    ]);
    expect(rows.map((row) => [row['quantity'], row['board']])).toEqual([
      ['1', 'card'],
      ['2', 'cotton'],
    ]);
    // No body that is folded is listed as cut.
    expect(rows.every((row) => Number(row['width mm']) > 40 && Number(row['height mm']) > 40)).toBe(true);
  });

  it('lists a door’s hinge of paper with its score', () => {
    const { json } = planned(fileOf([{ name: 'cupboard', width: '600 mm', height: '800 mm', depth: '400 mm', front: { kind: 'door' } }]));
    const [hinge] = json.pieces.flatMap(({ flats: its }) => its.filter(({ kind }) => kind === 'paper hinge'));
    expect(hinge?.folds).toHaveLength(1);
    expect(json.pieces[0]?.parts.map(({ tag }) => tag)).toContain(hinge?.tag);
  });

  it('tells of rooms as they are arranged: a rod that runs into the next wall', () => {
    const window = { form: 'window', end: 'left', from: '150 mm', width: '800 mm' };
    const curtain = {
      family: 'cloth',
      form: 'curtain',
      name: 'drapes',
      height: '1500 mm',
      on: { piece: 'piece-1', at: 'window 0.0.0' },
      fits: true,
    };
    const room = { family: 'room', name: 'den', walls: [{ openings: [window] }, {}, { kind: 'open' }, {}] };
    const clashes = (beyond: string) =>
      planned(fileOf([room, { ...curtain, beyond }])).json.findings.filter(({ code }) => code === 'things-clash');
    expect(clashes('300 mm').map(({ message }) => message)).toEqual([expect.stringContaining('drapes runs into the room’s own walls')]);
    expect(clashes('60 mm')).toEqual([]);
  });

  it('what cannot be planned is said, with exit 1; the rest is written, or with --strict nothing', () => {
    const file = fileOf([{ name: 'tiny', width: '12 mm', height: '12 mm', depth: '12 mm' }, { name: 'chest' }]);
    const [one, other] = [join(place(), 'out'), join(place(), 'out')];
    const done = parlor('plan', file, '--out', one);
    expect([done.status, done.stdout]).toEqual([1, expect.stringContaining('Wrote derived.json')]);
    expect(done.stderr).toMatch(/Not everything could be planned\.\ntiny: Too small to build/);
    const strict = parlor('plan', file, '--out', other, '--strict');
    expect([strict.status, strict.stdout, existsSync(other)]).toEqual([1, '', false]);
    expect(strict.stderr).toBe(done.stderr);
  });

  it.each([
    [
      { pieces: [{ family: 'paper', name: 'box', grounds: ['sky'] }] },
      /^pieces\[0\]\.grounds\[0\]: There is no colour with the id “sky”; there are chalk, oat/,
    ],
    [
      { pieces: [{ name: 'x', dress: { wears: [{ at: { kind: 'piece' }, finish: 'blue' }] } }] },
      /finish: There is no finish with the id “blue”; this set has none\./,
    ],
    [{ layouts: [{ id: 'a', room: 'attic' }] }, /^layouts\[0\]\.room: There is no room with the id “attic”/],
    [{ pieces: [{ name: 'x', leg: 'bamboo' }] }, /^pieces\[0\]\.leg: “bamboo” is not known here; it may be one of: .*square dowel/],
    [
      { pieces: [{ name: 'x', front: { kind: 'shelvs' } }] },
      /^pieces\[0\]\.front\.kind: “shelvs” is not known here; it may be one of: open, shelves/,
    ],
    [{ name: 7 }, /^name: This must be text; 7 stands there\./],
    [{ name: 'n'.repeat(121) }, /^name: At most 120 characters/],
  ])('refuses %j with the path and what may stand there', (more, words) => {
    const { pieces = [], ...rest } = more as { readonly pieces?: readonly object[] };
    const directory = join(place(), 'never');
    const { status, stderr } = parlor('plan', fileOf(pieces, rest), '--out', directory);
    expect([status, existsSync(directory)]).toEqual([2, false]);
    expect(stderr).toMatch(words);
  });

  it('on a bad file exits 2, says every issue on standard error, writes nothing', () => {
    const file = join(place(), 'bad.parlor.json');
    writeFileSync(file, JSON.stringify({ format: 'bashful-parlor-set', version: 1, pieces: [{ width: '5 feat' }, { heigth: 3 }] }));
    const directory = join(place(), 'never');
    const { status, stdout, stderr } = parlor('plan', file, '--out', directory);
    expect([status, stdout, existsSync(directory)]).toEqual([2, '', false]);
    expect(stderr).toContain('pieces[0].width: “feat”');
    expect(stderr).toContain('pieces[1].heigth');
  });

  it.each([
    [['plan', 'nowhere.json', '--out', 'x']],
    [['plan']],
    [[]],
    [['plan', 'demo/2-potting-shed.parlor.json']],
    [['plan', 'a', '--colour', 'x']],
  ])('%j exits 2 with a word of help', (words) => {
    const { status, stderr } = parlor(...words);
    expect(status).toBe(2);
    expect(stderr.length).toBeGreaterThan(10);
  });

  it('its table opens as a table: one row a tag, sizes in mm, quantities that add up', () => {
    const { json, directory } = plannedDemo('1-harbour-post-office');
    const table = papaparse.parse<Record<string, string>>(readFileSync(join(directory, 'cut-list.csv'), 'utf8').trim(), { header: true });
    expect(table.meta.fields?.slice(0, 4)).toEqual(['tag', 'piece', 'part', 'quantity']);
    const quantity = table.data.reduce((sum, row) => sum + Number(row['quantity']), 0);
    // Sticks and wire have a length of their own, what is cut from a sheet has none.
    expect(table.data.filter((row) => /dowel|stick/.test(row['board'] ?? '')).every((row) => Number(row['length mm']) > 0)).toBe(true);
    const flats = json.pieces.reduce((sum, piece) => sum + piece.flats.reduce((all, { count }) => all + count, 0), 0);
    const parts = json.pieces.reduce((sum, piece) => sum + piece.parts.filter(({ stuff }) => stuff !== 'found').length, 0);
    const besides = json.pieces.flatMap(({ takes }) => takes.filter(({ kind }) => kind === 'besides'));
    expect(besides.length).toBeGreaterThan(5);
    expect(quantity).toBe(flats + parts + besides.reduce((sum, { count }) => sum + count, 0));
    const untagged = table.data.filter((row) => row['tag'] === '').map((row) => row['part']?.replace(/, [\d.]+ g$/, ''));
    expect(untagged).toEqual(besides.map(({ what }) => what));
  });
});

describe('parlor plan of a preset alone', { timeout: 240_000 }, () => {
  // A sample; the bench plans all of them at each.
  it.each(PLANNED_SCALES.map((times, index) => [times, index] as const))(
    'at 1:%i has nothing wrong, and pages that poppler opens',
    (times, index) => {
      for (const { key } of PRESETS.filter((_, at) => at % 42 === 14 * index)) expect(wrongWithPreset(key, times)).toEqual([]);
    },
  );
});
