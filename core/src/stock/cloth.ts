import { z } from 'zod';
import { textField } from '../kit/index.ts';
import { type DollUm, dollField, dollUm, UM } from '../measure/index.ts';

/** What a kind of cloth is like: how thick, whether a cut edge frays, whether its pile or print runs one way. Thicknesses: common practice, no source. */
export type ClothNature = { readonly thickness: DollUm; readonly frays: boolean; readonly nap: boolean };

const nature = (thickness: number, frays: boolean, nap: boolean): ClothNature => ({
  thickness: dollUm(thickness * UM.mm),
  frays,
  nap,
});

export const CLOTH_KINDS = {
  cotton: nature(0.25, true, false),
  linen: nature(0.35, true, false),
  felt: nature(1.2, false, false),
  fleece: nature(2, false, true),
  fur: nature(3, false, true),
  velvet: nature(0.8, true, true),
  tulle: nature(0.1, false, false),
  towelling: nature(1.5, true, false),
} as const;

export type ClothKind = keyof typeof CLOTH_KINDS;
export const CLOTH_KIND_NAMES = Object.keys(CLOTH_KINDS) as readonly ClothKind[];

/** A rest of cloth that is worth keeping: across the grain, and along it. */
export type Scrap = { readonly id: string; readonly width: DollUm; readonly height: DollUm };

/** Cloth in stock. Its width is what lies between the selvages (or the sides of the piece that was bought); the grain runs along its length. */
export type Cloth = {
  readonly id: string;
  readonly name: string;
  readonly kind: ClothKind;
  readonly width: DollUm;
  /** How much of it is at hand, along the grain; null is as much as is asked for. */
  readonly length: DollUm | null;
  /** As it was measured; null is what such cloth usually is. */
  readonly thickness: DollUm | null;
  /** Whether its pile or its print runs one way: every piece lies the same way up. Null is as such cloth usually is. */
  readonly nap: boolean | null;
  readonly scraps: readonly Scrap[];
  /** A colour of the palette; null is the cloth's own white. */
  readonly colour: string | null;
  /** A finish of the tray that gives its print, at doll size. */
  readonly print: string | null;
};

const side = dollField({ min: 10 * UM.mm, max: 3 * UM.m });

export const MOST_CLOTHS = 30;

export const clothSchema: z.ZodType<Cloth> = z.strictObject({
  id: textField(60, 1),
  name: textField(80).default('cotton'),
  kind: z.enum(CLOTH_KIND_NAMES as [ClothKind, ...ClothKind[]]).default('cotton'),
  width: side.default(dollUm(1_100 * UM.mm)),
  length: dollField({ min: 10 * UM.mm, max: 50 * UM.m })
    .nullable()
    .default(null),
  thickness: dollField({ min: 0.02 * UM.mm, max: 20 * UM.mm })
    .nullable()
    .default(null),
  nap: z.boolean().nullable().default(null),
  scraps: z
    .array(z.strictObject({ id: textField(60, 1), width: side, height: side }))
    .max(100)
    .default([]),
  colour: textField(60, 1).nullable().default(null),
  print: textField(60, 1).nullable().default(null),
});

/** How thick a cloth is: as it was measured, else as such cloth usually is. */
export const clothThickness = ({ kind, thickness }: Pick<Cloth, 'kind' | 'thickness'>): DollUm => thickness ?? CLOTH_KINDS[kind].thickness;

export const hasNap = ({ kind, nap }: Pick<Cloth, 'kind' | 'nap'>): boolean => nap ?? CLOTH_KINDS[kind].nap;

/** Cloth that makers begin with: a quarter of a bolt, and a square of felt. Sizes: common practice, no source. */
export const FIRST_CLOTHS: readonly Cloth[] = [
  {
    id: 'cotton',
    name: 'cotton',
    kind: 'cotton',
    width: dollUm(1_100 * UM.mm),
    length: null,
    thickness: null,
    nap: null,
    scraps: [],
    colour: null,
    print: null,
  },
  {
    id: 'felt',
    name: 'felt',
    kind: 'felt',
    width: dollUm(300 * UM.mm),
    length: null,
    thickness: null,
    nap: null,
    scraps: [],
    colour: null,
    print: null,
  },
];
