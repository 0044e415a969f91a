// For tests: a set with one room of three plain walls and things that stand and hang in it.
import { PRESETS } from '../../piece/index.ts';
import { readSet, type SetDocument } from '../index.ts';

const preset = (key: string): object => PRESETS.find((each) => each.key === key)?.piece ?? {};

/** A preset, where it is put, and what of it is decided otherwise. */
export type Thing = {
  readonly key: string;
  readonly x: number;
  readonly z: number;
  readonly up?: number;
  readonly turn?: number;
  readonly over?: object;
};

/** The set; a thing’s id is its preset’s key and its number. */
export const roomSet = (things: readonly Thing[], room: object = {}, doll: object = {}, boards: object = {}): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    doll: { name: 'Marisol', height: '290 mm', ...doll },
    boards: [
      { id: 'white', measured: '4.8 mm', sheets: ['A1'], ...boards },
      { id: 'odd', measured: '6.5 mm', sheets: ['A1'] },
    ],
    cutting: { splice: 'join' },
    pieces: [
      { ...preset('three-walls'), skirting: '0 mm', walls: [{}, {}, { kind: 'open' }, {}], ...room, id: 'room' },
      ...things.map(({ key, over = {} }, index) => ({ ...preset(key), ...over, id: `${key}-${index}` })),
    ],
    layouts: [
      {
        id: 'a',
        room: 'room',
        placed: things.map(({ key, x, z, up = 0, turn = 0 }, index) => ({
          piece: `${key}-${index}`,
          x: `${x} mm`,
          z: `${z} mm`,
          up: `${up} mm`,
          turn,
        })),
      },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};
