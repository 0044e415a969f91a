// An SVG from anybody, made harmless before it is drawn: nothing runs, nothing is fetched, nothing costs more than its drawing is worth.
import { err, ok, type Result } from '@parlor/core/kit';
import { SaxesParser, type SaxesTagPlain } from 'saxes';

/** Why a drawing is refused; what could only be left out by changing how it looks is named. */
export type SvgProblem = {
  readonly code: 'svg-unreadable' | 'svg-too-large' | 'svg-filters' | 'svg-foreign' | 'svg-repeats' | 'svg-entities';
};

/** Elements that are drawn, and what groups and defines them. Everything else is left out with what is in it. */
const DRAWN = new Set(
  `svg g defs symbol use path rect circle ellipse line polyline polygon text tspan textPath image style switch a title desc
   linearGradient radialGradient stop pattern clipPath mask marker`.split(/\s+/),
);

/** Effects on what is drawn, in a style; without them it is another drawing. Filters that nothing uses are left out. */
const USED_FILTER = /(^|[;{\s])filter\s*:\s*(?!none)/i;
const SILENT = new Set(['title', 'desc']);

const MOST_ELEMENTS = 50_000;
const MOST_DRAWN = 100_000;
const DEEPEST = 200;
const MOST_BYTES = 10_000_000;

/** Pictures inside a drawing are taken where they stand in it and are of these kinds. */
const INNER_PICTURE = /^data:image\/(png|jpeg);base64,/i;

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** Names without their prefix: `xlink:href` and `href` are one, `inkscape:label` is none of SVG's. */
const localName = (name: string): string => name.split(':').at(-1) ?? name;

/** Styles reach outside by `url(…)` that is no `#name`, and by `@import`; both are taken out. */
const REACHES = /url\(\s*(['"]?)(?!#|['"]?#)[^)]*\)|@import[^;]*;?|expression\s*\(/gi;

type Node = { readonly tag: string; readonly id: string; readonly use: string; readonly children: Node[] };

/** How many elements are drawn once every `use` is followed. */
const drawnBy = (root: Node, byId: ReadonlyMap<string, Node>): number => {
  const counted = new Map<Node, number>();
  const under = new Set<Node>();
  const count = (node: Node): number => {
    const known = counted.get(node);
    if (known !== undefined) return known;
    // A circle of uses is never drawn to its end.
    if (under.has(node)) return Number.POSITIVE_INFINITY;
    under.add(node);
    const used = node.use === '' ? undefined : byId.get(node.use);
    const all = 1 + node.children.reduce((sum, child) => sum + count(child), 0) + (used ? count(used) : 0);
    under.delete(node);
    counted.set(node, all);
    return all;
  };
  return count(root);
};

class Refused extends Error {
  readonly problem: SvgProblem;
  constructor(code: SvgProblem['code']) {
    super(code);
    this.problem = { code };
  }
}

const PER_UNIT: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  pt: 96 / 72,
  pc: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 9.6 / 2.54,
  q: 2.4 / 2.54,
  em: 16,
  ex: 8,
};

/** A length of SVG in its pixels (CSS Values 3: 96 to the inch); null for shares of something unknown, and for what is no length. */
const pixelsOf = (text: string | undefined): number | null => {
  const [, amount, unit] = /^\s*\+?(\d*\.?\d+(?:e[+-]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '') ?? [];
  const per = PER_UNIT[(unit ?? '').toLowerCase()];
  return amount === undefined || per === undefined || Number(amount) <= 0 ? null : Number(amount) * per;
};

const USUAL = { width: 300, height: 150 };

/** The root's own attributes: whatever size it states, in whatever unit, it is drawn `side` pixels along its longer side. */
const rootSize = (attributes: Readonly<Record<string, string>>, side: number): Readonly<Record<string, string>> => {
  const box = (attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const hasBox = box.length === 4 && box.every(Number.isFinite) && (box[2] as number) > 0 && (box[3] as number) > 0;
  const width = pixelsOf(attributes['width']) ?? (hasBox ? (box[2] as number) : USUAL.width);
  const height = pixelsOf(attributes['height']) ?? (hasBox ? (box[3] as number) : USUAL.height);
  const scale = side / Math.max(width, height);
  return {
    ...attributes,
    viewBox: hasBox ? box.join(' ') : `0 0 ${width} ${height}`,
    width: String(Math.max(1, Math.round(width * scale))),
    height: String(Math.max(1, Math.round(height * scale))),
  };
};

const hrefOf = (value: string, tag: string): string | null => {
  const reference = value.trim();
  if (reference.startsWith('#')) return reference;
  if (tag === 'image' && INNER_PICTURE.test(reference)) return reference.replace(/\s+/g, '');
  if (tag === 'a') return null;
  throw new Refused('svg-foreign');
};

/** The attributes that stay: no handlers, nothing from outside, no filters. */
const keptAttributes = (tag: string, attributes: SaxesTagPlain['attributes']): Readonly<Record<string, string>> => {
  const kept: Record<string, string> = {};
  for (const [name, value] of Object.entries(attributes)) {
    const local = localName(name).toLowerCase();
    if (/^on/.test(local) || (name.includes(':') && !/^(xlink:href|xml:space)$/.test(name)) || name.startsWith('xmlns')) continue;
    if ((local === 'filter' && value.trim() !== 'none') || USED_FILTER.test(value)) throw new Refused('svg-filters');
    if (local === 'href') {
      const reference = hrefOf(value, tag);
      if (reference !== null) kept['xlink:href'] = reference;
    } else kept[name] = value.replace(REACHES, 'none');
  }
  return kept;
};

/** Cleans a drawing and sets its size in pixels along its longer side.
 *  Errors: an SvgProblem, which says why it is refused. Entities are refused as a whole: they multiply, and programs that draw write none. */
export const cleanSvg = (text: string, side: number): Result<string, SvgProblem> => {
  if (text.length > MOST_BYTES) return err({ code: 'svg-too-large' });
  const parser = new SaxesParser();
  const out: string[] = [];
  const stack: Node[] = [];
  const byId = new Map<string, Node>();
  let [left, elements] = [0, 0];
  let root: Node | undefined;
  parser.on('error', () => {
    throw new Refused('svg-unreadable');
  });
  parser.on('doctype', (doctype) => {
    if (/<!ENTITY|\[/i.test(doctype)) throw new Refused('svg-entities');
  });
  parser.on('opentag', ({ name, attributes, isSelfClosing: _ }) => {
    const tag = localName(name);
    elements += 1;
    if (elements > MOST_ELEMENTS || stack.length > DEEPEST) throw new Refused('svg-too-large');
    // Inside of what is left out everything is.
    if (left > 0 || !DRAWN.has(tag) || SILENT.has(tag) || (!root && tag !== 'svg')) {
      if (!root && left === 0) throw new Refused('svg-unreadable');
      left += 1;
      return;
    }
    const kept = keptAttributes(tag, attributes);
    const size = root ? kept : rootSize(kept, side);
    const node: Node = { tag, id: kept['id'] ?? '', use: tag === 'use' ? (kept['xlink:href'] ?? '').slice(1) : '', children: [] };
    stack.at(-1)?.children.push(node);
    if (node.id !== '') byId.set(node.id, node);
    root ??= node;
    stack.push(node);
    const spaces = node === root ? ' xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"' : '';
    out.push(
      `<${tag}${spaces}${Object.entries(size)
        .map(([key, value]) => ` ${key}="${escaped(value)}"`)
        .join('')}>`,
    );
  });
  parser.on('closetag', () => {
    if (left > 0) {
      left -= 1;
      return;
    }
    const node = stack.pop();
    if (node) out.push(`</${node.tag}>`);
  });
  const words = (content: string): void => {
    if (left > 0 || stack.length === 0) return;
    if (stack.at(-1)?.tag === 'style') {
      if (USED_FILTER.test(content)) throw new Refused('svg-filters');
      out.push(escaped(content.replace(REACHES, 'none')));
    } else out.push(escaped(content));
  };
  parser.on('text', words);
  parser.on('cdata', words);
  try {
    parser.write(text).close();
  } catch (problem) {
    return err(problem instanceof Refused ? problem.problem : { code: 'svg-unreadable' });
  }
  if (!root) return err({ code: 'svg-unreadable' });
  return drawnBy(root, byId) > MOST_DRAWN ? err({ code: 'svg-repeats' }) : ok(out.join(''));
};
