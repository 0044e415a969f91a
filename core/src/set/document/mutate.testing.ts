// Hostile documents: a good one with a few things in it made wrong, by seed.
import { seededRandom } from '../../kit/index.ts';

type Random = () => number;
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

const nested = (levels: number, wrap: (inside: Json) => Json): Json => {
  let value: Json = { kind: 'open' };
  for (let level = 0; level < levels; level += 1) value = wrap(value);
  return value;
};

/** Values that have broken programs before. */
const HOSTILE: readonly ((random: Random) => Json)[] = [
  () => null,
  () => true,
  () => [],
  () => ({}),
  (random) => pick(random, [0, -0, -1, 1, 0.5, 1e308, -1e308, 5e-324, 2 ** 53, 2 ** 31, -(2 ** 63), 1e21, 123_456_789_012]),
  (random) => Math.floor(random() * 4_000_000) - 1000,
  (random) =>
    pick(random, ['', ' ', 'NaN', 'Infinity', '1e400 m', '-0 mm', '1/0 in', '9'.repeat(400), `${'9'.repeat(400)} km`, '½½', "5' '"]),
  (random) =>
    pick(random, ['\u0000', '\ud800', '\udfff x', '\u202e1 mm', '١٢ mm', '１２ mm', '\ufeff5 mm', 'e\u0301'.repeat(50), '👩‍👩‍👧‍👦']),
  (random) => 'x'.repeat(Math.floor(random() * 3000)),
  (random) => `${'1 '.repeat(Math.floor(random() * 2000))}mm`,
  (random) =>
    pick(random, ['__proto__', 'constructor', 'toString', 'open', 'shelves', 'door', 'columns', 'rows', 'white', 'inside', '<script>']),
  (random) => nested(Math.floor(random() * 90), (inside) => ({ kind: 'rows', slots: [{ cell: inside }, {}] })),
  (random) => nested(Math.floor(random() * 300), (inside) => ({ kind: 'door', behind: inside })),
  (random) => nested(Math.floor(random() * 900), (inside) => [inside]),
  (random) => ({ kind: 'shelves', count: Math.floor(random() * 60) - 5, holds: 'paperback' }),
  (random) => ({
    kind: 'columns',
    slots: Array.from({ length: Math.floor(random() * 60) }, () => ({ size: { clear: Math.floor(random() * 500_000) } })),
  }),
  (random) => Array.from({ length: Math.floor(random() * 400) }, () => ({ name: 'many', front: { kind: 'shelves', count: 9 } })),
  () => JSON.parse('{"__proto__":{"polluted":true}}') as Json,
];

const isBranch = (value: Json): value is Json[] | { [key: string]: Json } => typeof value === 'object' && value !== null;

/** Every place in a document where something stands. */
const placesIn = (value: Json, places: { readonly holder: Json[] | { [key: string]: Json }; readonly key: string }[] = []) => {
  if (!isBranch(value)) return places;
  for (const key of Object.keys(value)) {
    places.push({ holder: value, key });
    placesIn((value as { [key: string]: Json })[key] as Json, places);
  }
  return places;
};

/** A document made from `good` by one to four changes: a value replaced, taken out, doubled, or put where none was. */
export const mutated = (good: unknown, seed: number): unknown => {
  const random = seededRandom(seed);
  const whole: { [key: string]: Json } = { root: structuredClone(good) as Json };
  for (let changes = 1 + Math.floor(random() * 4); changes > 0; changes -= 1) {
    const places = placesIn(whole);
    if (places.length === 0) break;
    const { holder, key } = pick(random, places);
    const inside = holder as { [key: string]: Json };
    const way = random();
    if (way < 0.7) inside[key] = pick(random, HOSTILE)(random);
    else if (way < 0.8) delete inside[key];
    else if (way < 0.9 && Array.isArray(holder)) holder.push(structuredClone(inside[key] as Json));
    else inside[pick(random, ['extra', 'name', 'front', 'boards', 'pieces', '0'])] = pick(random, HOSTILE)(random);
  }
  return whole['root'];
};
