// Numbers on the tabs of all nets that ship: each is there, on its tab or beside it with a line, and on no other.
import { expect, it } from 'vitest';
import { PRESETS } from '../../piece/index.ts';
import { outlineOfNet, textBox } from '../../print/index.ts';
import { tabMarks } from '../../print/tabMarks.ts';
import { type Rect, rectRing, regionArea } from '../../shape/index.ts';
import { common } from '../../shape/regions.ts';
import { derive, readSet, sheetsOfGood } from '../index.ts';

const NETS = PRESETS.filter(({ kind }) => kind === 'paper' || kind === 'odd');

it.each([6, 12, 24])('at 1:%i each tab has its number, on it or with a line to it', (ratio) => {
  let tabs = 0;
  for (const { key, piece } of NETS) {
    const read = readSet({ format: 'bashful-parlor-set', version: 1, doll: { scale: { by: 'ratio', ratio } }, pieces: [piece] });
    if (!read.ok) throw new Error(key);
    const derived = derive(read.value);
    for (const { net } of derived.pieces.flatMap((each) => sheetsOfGood(read.value, derived, each))) {
      const cut = outlineOfNet(net.net);
      const marks = tabMarks(net.net, cut);
      const texts = marks.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
      expect(texts.map(({ text }) => text).sort(), `${key} ${net.name}`).toEqual(net.net.tabs.map((_, index) => String(index + 1)).sort());
      tabs += texts.length;
      const leaders = marks.filter((mark) => mark.kind === 'line' && mark.style === 'map').length;
      const ring = ({ x0, y0, x1, y1 }: Rect) => ({ outline: rectRing(x0, y0, x1, y1), holes: [] });
      // What stands beside has a line to its tab: beside is where the middle is on nothing that is cut out.
      const beside = texts.filter((mark) => {
        const box = textBox(mark);
        const on = common(ring(box), cut).reduce((sum, region) => sum + regionArea(region), 0);
        return on < (0.5 * (box.x1 - box.x0) * (box.y1 - box.y0)) / 2;
      });
      expect(leaders, `${key} ${net.name}`).toBe(beside.length);
      for (const [index, mark] of texts.entries())
        for (const other of texts.slice(index + 1))
          expect(common(ring(textBox(mark)), [ring(textBox(other))]), `${key} ${mark.text} ${other.text}`).toEqual([]);
    }
  }
  expect(tabs).toBeGreaterThan(100);
});
