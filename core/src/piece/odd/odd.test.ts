import { describe, expect, it } from 'vitest';
import { cutList } from '../../cut/index.ts';
import { dollUm, realUm, scaleFromRatio, UM } from '../../measure/index.ts';
import { spiralOf } from '../../net/index.ts';
import { regionArea, signedArea } from '../../shape/index.ts';
import { HOUSE_THINGS, PRINT_STOCKS, standInsFor } from '../../stock/index.ts';
import { buildPiece, fromPreset, type Means, ODD_FORMS, type OddThing, PRESETS } from '../index.ts';
import { boardOf } from '../randomDecisions.testing.ts';
import { bentLength, hangerLine } from './wire.ts';

const ODDS = PRESETS.filter(({ kind }) => kind === 'odd');
const MEANS: Means = { scale: scaleFromRatio(6), body: scaleFromRatio(6), boards: [boardOf(5_000)] };

const odd = (key: string, over: Partial<OddThing> = {}): OddThing =>
  ({ ...fromPreset(ODDS.find((each) => each.key === key) as (typeof ODDS)[number], 'p', 1), ...over }) as OddThing;

const built = (piece: OddThing, means = MEANS) => {
  const made = buildPiece(piece, means);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  const { assembly, nets = [], extras = [], wanted = [] } = made.value;
  return { parts: assembly.parts, size: assembly.outside.max, nets, extras, wanted };
};

const doll = (mm: number) => ({ doll: dollUm(Math.round(mm * UM.mm)) });

describe('recipes for found and mixed things', () => {
  it('there is a preset of every form, and each can be made at three scales or says why not', () => {
    expect(new Set(ODDS.map(({ piece }) => (piece as OddThing).form))).toEqual(new Set(ODD_FORMS));
    for (const preset of ODDS)
      for (const ratio of [3, 6, 12]) {
        const made = buildPiece(fromPreset(preset, 'p', 1), { ...MEANS, scale: scaleFromRatio(ratio) });
        if (!made.ok) expect(made.error, preset.key).toMatchObject({ code: 'does-not-fit' });
        else expect(made.value.assembly.parts.length).toBeGreaterThan(0);
        if (ratio === 6) expect(made.ok, preset.key).toBe(true);
      }
  });

  it('a lamp: its shade is the sector of a ring, as handbooks have it for a frustum', () => {
    const { nets, parts, size } = built(
      odd('shade-lamp', { width: doll(54), above: doll(30), part: doll(36), height: doll(90), foot: doll(30) }),
    );
    const shade = nets.find(({ name }) => name === 'shade');
    const area = (shade?.net.faces ?? []).reduce((sum, { outline }) => sum + Math.abs(signedArea(outline as never)), 0);
    // Source: Bronshtein & Semendyayev, lateral surface of a frustum of a cone, π (R + r) s with s = √(h² + (R − r)²), recalled: π (27 + 15) √(36² + 12²) mm².
    const exact = Math.PI * 42 * Math.hypot(36, 12);
    expect(Math.abs(area / 1e6 / exact - 1)).toBeLessThan(0.01);
    expect(size.map((um) => Math.round(um / 1000))).toEqual([54, 90, 54]);
    // Foot, stem and holder stand on one another; the holder goes into the shade where it is.
    const [foot, stem, holder] = ['foot of the lamp', 'stem', 'disc that holds the shade'].map((name) =>
      parts.find((part) => part.name === name),
    );
    expect(foot?.thickness).toBe(5_000);
    expect((stem?.pose.origin[1] ?? 0) + (stem?.length ?? 0)).toBe(holder?.pose.origin[1]);
    const top = ((holder?.pose.origin[1] ?? 0) + 5_000 - 54_000) / 36_000;
    const radius = Math.max(...(holder?.region.outline ?? []).map(([x]) => x));
    expect(radius).toBeLessThan((54_000 + (30_000 - 54_000) * top) / 2);
  });

  it('a log: the strip is as long as the spiral that it is wound to', () => {
    const paper = PRINT_STOCKS.card.thickness;
    const { extras, size } = built(odd('log', { width: doll(50), height: doll(18), paper: 'card', count: 1 }));
    const strip = extras.find(({ what }) => what.startsWith('strip to roll up'));
    // Source: the spiral of Archimedes, r = a θ with a = t ÷ 2π; its length is the integral of √(r² + a²) dθ, summed here in small steps.
    const [from, to] = [(6 * paper) / 2, 9_000];
    const a = paper / (2 * Math.PI);
    const [first, last] = [from / a, to / a];
    let exact = 0;
    const steps = 200_000;
    for (let step = 0; step < steps; step += 1) {
      const angle = first + ((last - first) * (step + 0.5)) / steps;
      exact += (Math.hypot(a * angle, a) * (last - first)) / steps;
    }
    expect(Math.abs((strip?.length ?? 0) / exact - 1)).toBeLessThan(2e-3);
    expect(strip?.length).toBe(spiralOf(18_000, 6 * paper, paper));
    expect(strip?.wide).toBe(50_000);
    expect(size).toEqual([50_000, 18_000, 18_000]);
    // Bark, and two ends with rings.
    expect(built(odd('log', { count: 2 })).nets.map(({ name, copies }) => [name, copies.length])).toEqual([
      ['bark', 2],
      ['end with its rings', 2],
      ['other end', 2],
    ]);
  });

  it('a cake: slices together are what was cut, less those that are gone', () => {
    const whole = built(odd('layer-cake', { width: doll(60), height: doll(15), sides: 12, slices: 1, gone: 0, extras: 0 }));
    const area = regionArea((whole.parts[0] as (typeof whole.parts)[number]).region);
    // Source: plane geometry, a regular figure of n corners: n/2 R² sin(2π/n).
    expect(Math.abs(area / (6 * 30_000 ** 2 * Math.sin(Math.PI / 6)) - 1)).toBeLessThan(1e-4);
    expect(whole.parts).toHaveLength(3);
    for (const slices of [2, 4, 5, 6, 8]) {
      const { parts } = built(odd('layer-cake', { width: doll(60), height: doll(15), sides: 12, slices, gone: 1, extras: 0 }));
      const first = parts.filter(({ pose }) => pose.origin[1] === 0);
      expect(first).toHaveLength(slices - 1);
      const sum = first.reduce((all, { region }) => all + regionArea(region), 0);
      expect(Math.abs(sum / ((area * (slices - 1)) / slices) - 1)).toBeLessThan(slices === 5 || slices === 8 ? 0.05 : 1e-3);
    }
  });

  it('a pie: slices that are equal are one figure', () => {
    for (const slices of [3, 5, 6, 7, 12, 24]) {
      const { parts } = built(odd('pie', { width: doll(60), height: doll(5), slices, gone: 1 }));
      const groups = cutList(1, parts, () => false);
      expect(groups.map((group) => group.parts.length)).toEqual([slices - 1]);
    }
  });

  it('a cake: beads stand round its rim side by side, no more than go there', () => {
    const { extras } = built(
      odd('layer-cake', { width: doll(40), height: doll(15), slices: 1, gone: 0, extras: 60, bead: dollUm(3 * UM.mm) }),
    );
    const beads = extras.find(({ what }) => what.startsWith('beads'))?.count ?? 0;
    expect(beads).toBe(Math.floor((Math.PI * (40 - 4.5)) / 4.5));
    const icing = extras.find(({ what }) => what.startsWith('strip of icing'));
    expect(icing?.length).toBe(Math.round(Math.PI * 40_000 + 4_000));
    expect(icing?.wide).toBe(15_000);
  });

  it('a loaf: slices of one board each, crust as long as its outline', () => {
    const { parts, size, extras } = built(odd('loaf', { width: doll(45), height: doll(20), depth: doll(18), gone: 2 }));
    expect(parts).toHaveLength(9 - 2);
    expect(size[0]).toBe(7 * 5_000);
    const crust = extras[0]?.length ?? 0;
    // Between the straight box round it and the half ellipse's own bow: 18 + 2 × 12 and half an ellipse of 9 and 8 (Ramanujan's first formula, recalled).
    const [a, b] = [9, 8];
    const bow = (Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)))) / 2;
    expect(Math.abs(crust / 1000 - (18 + 24 + bow + 4))).toBeLessThan(0.3);
  });

  it('a hanger: the wire is as long as its shoulders, its lower side, its neck and three quarters of its hook', () => {
    const [w, h, hook] = [70_000, 40_000, 9_000];
    const line = hangerLine(w, h, hook);
    const neck = h - hook - (hook / 2) * 0.6;
    // Two slopes by Pythagoras, one straight side, the neck, an arc of 270°.
    const exact = 2 * Math.hypot(w / 2, neck) + w + (hook / 2) * 0.6 + (hook / 2) * (1.5 * Math.PI);
    expect(Math.abs(bentLength(line) / exact - 1)).toBeLessThan(5e-3);
    const { parts } = built(odd('wire-hanger', { count: 1 }));
    expect(parts.find(({ stuff }) => stuff === 'wire')?.length).toBeGreaterThan(bentLength(hangerLine(70_000, 40_000, 9_167)));
  });

  it('a bottle in slices of tube, a plate with a rim, a frame and a tray of strips', () => {
    const bottle = built(odd('bottle', { count: 1 }));
    expect(bottle.nets.map(({ name }) => name)).toEqual(['body', 'shoulder', 'neck', 'bottom']);
    const label = bottle.extras.find(({ what }) => what.startsWith('label'));
    expect(label?.length).toBe(Math.round(Math.PI * (12_667 + PRINT_STOCKS.plain.thickness) + 3_000));
    expect(built(odd('plate', { count: 2 })).nets.find(({ name }) => name === 'rim')?.copies).toHaveLength(2);
    const frame = built(odd('strip-frame', { width: doll(60), height: doll(80) }));
    const strips = frame.parts.filter(({ stuff }) => stuff === 'stick').map(({ length }) => length);
    // Butted: two as long as it is wide, two shorter than it is high by two widths of the stick (6 mm).
    expect(strips.sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual([60_000, 60_000, 68_000, 68_000]);
    const tray = built(odd('serving-tray', { width: doll(75), depth: doll(50) }));
    expect(tray.parts.filter(({ stuff }) => stuff === 'stick')).toHaveLength(4);
    for (const key of ['strip-frame', 'serving-tray'])
      expect(buildPiece(odd(key, { stick: 'round dowel, 3 mm' }), MEANS)).toMatchObject({ ok: false, error: { code: 'does-not-fit' } });
  });

  it('a plant has its leaves on wires, a candle a wick, a pencil a stick', () => {
    const plant = built(odd('pot-plant', { extras: 7 }));
    expect(plant.nets.find(({ name }) => name === 'green leaf')?.copies).toHaveLength(7);
    expect(plant.extras.find(({ what }) => what.startsWith('thin wire'))?.count).toBe(7);
    expect(built(odd('candle')).extras.some(({ what }) => what.startsWith('thread for the wick'))).toBe(true);
    const pencils = built(odd('pencil', { count: 4 }));
    expect(pencils.parts.filter(({ stuff }) => stuff === 'stick').map(({ length }) => length)).toEqual([29_167, 29_167, 29_167, 29_167]);
  });

  it('found, it only takes its place', () => {
    for (const preset of ODDS) {
      const made = built({ ...(fromPreset(preset, 'p', 1) as OddThing), found: true, count: 1 });
      if ((preset.piece as OddThing).form === 'pencil' || (preset.piece as OddThing).form === 'hanger') continue;
      expect(
        made.parts.every(({ stuff }) => stuff === 'found'),
        preset.key,
      ).toBe(true);
      expect(made.nets, preset.key).toEqual([]);
    }
  });
});

describe('what from the house could stand in', () => {
  it('is of the right shape and near enough in size, the nearest first', () => {
    const found = standInsFor({ as: 'its pot', shapes: ['cup'], across: 30_000, high: 20_000 });
    expect(found.map(({ name }) => name)).toContain('screw cap of a drinks bottle');
    expect(found.every(({ shape }) => shape === 'cup')).toBe(true);
    expect(found.map(({ name }) => name)).not.toContain('yoghurt pot');
    expect(standInsFor({ as: 'x', shapes: ['rod'], across: 3_000, high: 60_000 }).map(({ name }) => name)).toContain('skewer');
    expect(standInsFor({ as: 'x', shapes: ['cup'], across: 400_000, high: 400_000 })).toEqual([]);
  });

  it('every thing from the house is found when its own size is asked for, and none when twice as large is', () => {
    for (const { name, shape, across, high } of HOUSE_THINGS) {
      const middle = (range: readonly [number, number]): number => (range[0] + range[1]) / 2;
      expect(standInsFor({ as: '', shapes: [shape], across: middle(across), high: middle(high) }).map((each) => each.name)).toContain(name);
      expect(standInsFor({ as: '', shapes: [shape], across: across[1] * 2, high: middle(high) }).map((each) => each.name)).not.toContain(
        name,
      );
      expect(across[0] <= across[1] && high[0] <= high[1]).toBe(true);
    }
  });

  it('every recipe that may be found says what to look for', () => {
    for (const preset of ODDS) {
      const { wanted } = built(fromPreset(preset, 'p', 1) as OddThing);
      if ((preset.piece as OddThing).form === 'hanger') continue;
      expect(wanted.length, preset.key).toBeGreaterThan(0);
      for (const { across, high } of wanted) expect(across > 0 && high > 0).toBe(true);
    }
    expect(realUm(5)).toBe(5);
  });
});
