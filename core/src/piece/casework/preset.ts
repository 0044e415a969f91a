// Words that the presets of casework share.
import type { z } from 'zod';
import type { Preset } from '../family/preset.ts';
import type { caseworkSchema } from './casework.ts';

export const even = (count: number, cell: object): object[] => Array.from({ length: count }, () => ({ cell }));

export const preset = (
  key: string,
  name: string,
  hint: string,
  words: string,
  kind: Preset['kind'],
  piece: z.input<typeof caseworkSchema>,
): Preset => ({
  key,
  name,
  hint,
  words,
  kind,
  piece: { ...piece, family: 'casework', name },
});
