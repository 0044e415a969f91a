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
    | 'panels';
  readonly piece: object;
};
