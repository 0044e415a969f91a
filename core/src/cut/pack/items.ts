// Rectangles as the packers see them: whole µm, grown by the knife gap, in typed arrays, for they are looked at a million times a second.

/** A rectangle to place; `turns` when it may also lie on its side. */
export type PackItem = { readonly width: number; readonly height: number; readonly turns: boolean };

/** The same, column by column; `area` in µm². */
export type Items = {
  readonly count: number;
  readonly width: Int32Array;
  readonly height: Int32Array;
  readonly turns: Uint8Array;
  readonly area: Float64Array;
};

export const itemsOf = (list: readonly PackItem[]): Items => ({
  count: list.length,
  width: Int32Array.from(list, ({ width }) => Math.ceil(width)),
  height: Int32Array.from(list, ({ height }) => Math.ceil(height)),
  turns: Uint8Array.from(list, ({ width, height, turns }) => (turns && width !== height ? 1 : 0)),
  area: Float64Array.from(list, ({ width, height }) => width * height),
});

/** Where an item lies: its lower left corner; turned by a quarter or as it is. */
export type Packed = { readonly item: number; readonly x: number; readonly y: number; readonly turned: boolean };

/** A filled sheet: its kind, by index, and what lies on it. */
export type PackedSheet = { readonly kind: number; readonly items: readonly Packed[] };
