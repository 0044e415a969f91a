import { assertNever } from '../kit/index.ts';
import { type Scale, UM } from '../measure/index.ts';
import { mapVec, type Rect, type Vec3, vec3 } from '../shape/index.ts';
import type { Art, SignFace, Swatch } from './finish.ts';
import { DRAWINGS, type Fill, isOfTones, PAINTINGS, PATTERNS, type PatternName, type PatternSizes, type Tint } from './pattern/index.ts';
import type { PictureUse } from './picture.ts';

/** An art with everything that it is drawn from: sizes in µm at doll size, colours instead of inks. */
export type Look =
  | { readonly kind: 'plain'; readonly colour: string }
  | {
      readonly kind: 'pattern';
      readonly pattern: PatternName;
      readonly sizes: PatternSizes;
      readonly colours: readonly string[];
      readonly seed: number;
    }
  | ({ readonly kind: 'picture' } & PictureUse)
  | SignLook;

/** Words in a box of an exact size at doll size, in the middle of what wears them. */
export type SignLook = {
  readonly kind: 'sign';
  readonly lines: readonly string[];
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly ink: string;
  readonly ground: string;
  readonly border: boolean;
  readonly width: number;
  readonly height: number;
};

/** What is seen where a swatch is gone. */
const NO_COLOUR = '#cfc9c0';

/** The colour that a swatch of the palette has. */
export const inkColour = (palette: readonly Swatch[], id: string): string =>
  palette.find((swatch) => swatch.id === id)?.colour ?? NO_COLOUR;

/** An art at the scale of its set. Real sizes are brought down as they are: a course of 75 mm at 1:12 is 6250 µm, and the hundredth lies
 *  exactly a hundred courses up. */
export const lookOf = (art: Art, palette: readonly Swatch[], { doll, real }: Scale): Look => {
  switch (art.kind) {
    case 'plain':
      return { kind: 'plain', colour: inkColour(palette, art.ink) };
    case 'pattern': {
      const pattern = PATTERNS[art.pattern];
      const sizes = Object.fromEntries(
        Object.entries(pattern.sizes).map(([key, { usual }]) => [key, ((art.sizes[key] ?? usual * UM.mm) * doll) / real]),
      );
      const colours = pattern.inks.map(({ usual }, index) => {
        const ink = art.inks[index];
        return ink == null ? usual : inkColour(palette, ink);
      });
      return { kind: 'pattern', pattern: art.pattern, sizes, colours, seed: art.seed };
    }
    case 'picture': {
      const { across, ...use } = art;
      return { ...use, width: across === null ? null : (across * doll) / real };
    }
    case 'sign': {
      const { words, ink, ground, width, height, ...rest } = art;
      const size = (length: number) => (length * doll) / real;
      return {
        ...rest,
        lines: words.split('\n'),
        ink: inkColour(palette, ink),
        ground: inkColour(palette, ground),
        width: size(width),
        height: size(height),
      };
    }
    default:
      return assertNever(art);
  }
};

type Rgb = Vec3;

/** Red, green and blue of a colour, 0 to 255 each. */
export const toRgb = (colour: string): Rgb => vec3((at) => Number.parseInt(colour.slice(2 * at + 1, 2 * at + 3), 16));

const toHex = (rgb: Rgb): string => `#${rgb.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;

const blend = (one: Rgb, other: Rgb, share: number): Rgb => mapVec(one, (value, at) => value + (other[at] - value) * share);

/** The colour of a tint: its ink, mixed with another, then lightened or darkened. */
export const tintOf = ({ ink, tone = 0, mix }: Tint, colours: readonly string[]): string => {
  const base = toRgb(colours[ink] ?? NO_COLOUR);
  const mixed = mix ? blend(base, toRgb(colours[mix.ink] ?? NO_COLOUR), mix.share) : base;
  return toHex(tone === 0 ? mixed : blend(mixed, tone > 0 ? [255, 255, 255] : [0, 0, 0], Math.abs(tone)));
};

/** The areas of a look in a window of its pattern, in the order in which they are painted: of a picture the paper, of a sign its ground. Null for
 *  a look of tones, which `paintTones` gives. */
export const fillsOf = (look: Look, window: Rect): readonly (Omit<Fill, 'tint'> & { readonly colour: string })[] | null => {
  if (look.kind !== 'pattern') {
    const { x0, y0, x1, y1 } = window;
    return [
      {
        colour: look.kind === 'plain' ? look.colour : look.kind === 'sign' ? look.ground : '#ffffff',
        rings: [
          [
            [x0, y0],
            [x1, y0],
            [x1, y1],
            [x0, y1],
          ],
        ],
      },
    ];
  }
  if (isOfTones(look.pattern)) return null;
  return DRAWINGS[look.pattern](look.sizes, window, look.seed).map(({ tint, rings }) => ({ colour: tintOf(tint, look.colours), rings }));
};

/** A picture of a look of tones: one number for each pixel, row by row from the top, and the colour of each of the 256 numbers. */
export type Tones = { readonly width: number; readonly height: number; readonly pixels: Uint8Array; readonly palette: Uint8Array };

/** The edge of a pixel at 300 dots to the inch, in µm. */
export const PRINT_PIXEL = UM.in / 300;

const palettes = new WeakMap<readonly string[], Uint8Array>();

/** The 256 tones between a look's darkest and lightest colour, three bytes each. */
const tonePalette = (colours: readonly string[]): Uint8Array => {
  const known = palettes.get(colours);
  if (known) return known;
  const [dark, light] = [toRgb(colours[0] ?? NO_COLOUR), toRgb(colours[1] ?? NO_COLOUR)];
  const made = Uint8Array.from(Array.from({ length: 256 }, (_, index) => blend(dark, light, index / 255).map(Math.round)).flat());
  palettes.set(colours, made);
  return made;
};

/** Looks of tones are as large as a 12 × 12 in paper, and beyond its edges their own mirror image, as veneer is matched like a book: without a
 *  seam, and a file of many pages holds no more than one paper of each. */
export const TONES_EDGE = 12 * UM.in;

/** Pixels side by side that lie on one paper: from which to which, where the first lies on the paper, and whether it is seen mirrored. */
type Stretch = { readonly from: number; readonly to: number; readonly start: number; readonly mirrored: boolean };

/** A row of pixels as stretches of the paper and its mirror images. */
const stretches = (origin: number, count: number, pixel: number): readonly Stretch[] => {
  const found: Stretch[] = [];
  for (let from = 0; from < count; ) {
    const paper = Math.floor((origin + (from + 0.5) * pixel) / TONES_EDGE);
    const to = Math.max(from + 1, Math.min(count, Math.round(((paper + 1) * TONES_EDGE - origin) / pixel)));
    const mirrored = paper % 2 !== 0;
    const [first, last] = [origin + from * pixel, origin + to * pixel];
    found.push({ from, to, mirrored, start: mirrored ? (paper + 1) * TONES_EDGE - last : first - paper * TONES_EDGE });
    from = to;
  }
  return found;
};

/** Paints a look of tones over a window, a number for each pixel of an edge of `pixel` µm; null for a look of areas.
 *  The same place has the same tone whatever window it is painted in, so that tiles and faces meet. */
export const paintTones = (look: Look, window: Rect, pixel: number = PRINT_PIXEL): Tones | null => {
  if (look.kind !== 'pattern' || !isOfTones(look.pattern)) return null;
  const [width, height] = [window.x1 - window.x0, window.y1 - window.y0].map((length) => Math.max(1, Math.round(length / pixel))) as [
    number,
    number,
  ];
  const pixels = new Uint8Array(width * height);
  // Rows run down from the top: what rises with y falls from row to row.
  for (const down of stretches(-window.y1, height, pixel)) {
    for (const across of stretches(window.x0, width, pixel)) {
      const [wide, high] = [across.to - across.from, down.to - down.from];
      const [x0, y0] = [across.start, down.start];
      const part = new Uint8Array(wide * high);
      PAINTINGS[look.pattern](look.sizes, { x0, y0, x1: x0 + wide * pixel, y1: y0 + high * pixel }, pixel, look.seed, part);
      for (let row = 0; row < high; row += 1) {
        const line = part.subarray(row * wide, (row + 1) * wide);
        if (across.mirrored) line.reverse();
        pixels.set(line, (down.mirrored ? down.from + row : down.to - 1 - row) * width + across.from);
      }
    }
  }
  return { width, height, pixels, palette: tonePalette(look.colours) };
};

/** How much ink a colour takes: 0 for white, 1 for black. */
export const inkOf = (colour: string): number => 1 - toRgb(colour).reduce((sum, value) => sum + value, 0) / 765;

/** How well two colours are told apart: the ratio of their light. Source: WCAG 2.2, contrast ratio. */
export const contrastOf = (one: string, other: string): number => {
  const light = (colour: string): number => {
    const [r, g, b] = toRgb(colour).map((value) => {
      const share = value / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const [a, b] = [light(one), light(other)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
};

/** The one colour that stands for a look from afar: of areas the ink that covers most, of tones the middle. */
export const mainColour = (look: Look): string => {
  if (look.kind === 'plain') return look.colour;
  if (look.kind === 'sign') return look.ground;
  if (look.kind === 'picture') return NO_COLOUR;
  const [first, second] = look.colours;
  if (isOfTones(look.pattern)) return toHex(blend(toRgb(first ?? NO_COLOUR), toRgb(second ?? NO_COLOUR), 0.6));
  return (PATTERNS[look.pattern].kind === 'paper' || look.colours.length === 1 ? first : second) ?? NO_COLOUR;
};
