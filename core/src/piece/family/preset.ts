/** A piece to start from: what people call it, the words it is found by, and the decisions that differ from the defaults. */
export type Preset = {
  readonly key: string;
  readonly name: string;
  readonly hint: string;
  readonly words: string;
  readonly kind:
    | 'storing'
    | 'kitchen'
    | 'tables'
    | 'beds'
    | 'seats'
    | 'sticks'
    | 'round'
    | 'shapes'
    | 'walls'
    | 'openings'
    | 'shop'
    | 'rooms'
    | 'paper'
    | 'cloth'
    | 'odd'
    | 'panels';
  readonly piece: object;
};

/** Makes presets of one family: their key, name, hint, the words that they are found by, and what is decided otherwise than usual. */
export const presetsOf =
  <Decided extends object>(family: string, kind: Preset['kind']) =>
  (key: string, name: string, hint: string, words: string, piece: Omit<Decided, 'family'>, under: Preset['kind'] = kind): Preset => ({
    key,
    name,
    hint,
    words,
    kind: under,
    piece: { ...piece, family, name },
  });
