// What nobody polite would send, by seed, for every door that takes something from outside; for tests, and a million times for the bench.
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { crc32, gzipSync } from 'node:zlib';
import { seededRandom } from '@parlor/core/kit';
import { readSet, readSetFile } from '@parlor/core/set';
import { mutated } from '../../core/src/set/document/mutate.testing.ts';
import { CopyFault, readCopy, readJournal } from './disk/index.ts';
import { root } from './fresh.testing.ts';
import { cleanSvg } from './reading/cleanSvg.ts';

const whole = JSON.parse(readFileSync(join(root, 'demo/1-harbour-post-office.parlor.json'), 'utf8')) as { pieces: object[] };
const good = { ...whole, pieces: whole.pieces.slice(0, 3) };

type Wild = { readonly method: string; readonly path: string; readonly headers: Record<string, string>; readonly body: string };

const METHODS = ['GET', 'GET', 'PUT', 'PUT', 'PUT', 'POST', 'POST', 'POST', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS'];
const PIECES = [
  'sets',
  'away',
  'door',
  'potting-shed',
  'harbour-post-office',
  'revisions',
  'restore',
  '1',
  '2',
  '99999999999999999999',
  '-1',
  '..',
  '%2e%2e',
  '%00',
  '%ff',
  '%ed%a0%80',
  "' or 1=1 --",
  '*',
  'a'.repeat(2000),
  '__proto__',
];

/** A request by seed to the application at a host, mostly as the web makes them, and never quite. */
export const wildRequest = (seed: number, host: string): Wild => {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const known = random() < 0.5;
  const path = known
    ? pick([
        '/api/sets',
        '/api/sets',
        '/api/sets/potting-shed',
        '/api/sets/harbour-post-office',
        '/api/sets/potting-shed/restore',
        '/api/away',
      ])
    : `/api/${Array.from({ length: 1 + Math.floor(random() * 4) }, () => pick(PIECES)).join('/')}`;
  const bodies: readonly (() => string)[] = [
    () => JSON.stringify({ document: random() < 0.2 ? good : mutated(good, seed) }),
    () => JSON.stringify({ document: random() < 0.5 ? good : mutated(good, seed), basedOn: Math.floor(random() * 40) }),
    () => JSON.stringify(mutated({ document: good, basedOn: 1 }, seed)),
    () => JSON.stringify({ document: good, basedOn: 1 }).slice(0, Math.floor(random() * 800)),
    () => '['.repeat(Math.floor(random() * 60_000)),
    () => '\u0000\ud800{"a":1e999}',
    () => '',
  ];
  return {
    method: pick(METHODS),
    path: path.replaceAll(' ', '%20'),
    headers: {
      host: pick([host, host, host, host, 'attacker.example']),
      'content-type': pick(['application/json', 'application/json', 'application/json', 'text/plain', 'application/json; charset=klingon']),
      ...(random() < 0.1 && { origin: 'https://attacker.example' }),
      ...(random() < 0.05 && { 'content-encoding': pick(['gzip', 'br', 'zip']) }),
      ...(random() < 0.05 && { cookie: `parlor-session=${'.'.repeat(30)}` }),
    },
    body: pick(bodies)(),
  };
};

type Random = () => number;

/** Bytes with bits turned, stretches lost, doubled or blanked, or cut off. */
const spoilt = (bytes: Buffer, random: Random): Buffer => {
  const out = Buffer.from(bytes);
  const [from, length] = [Math.floor(random() * bytes.length), Math.floor(random() * 300)];
  const kind = random();
  if (kind < 0.4) {
    for (let count = 1 + Math.floor(random() * 3); count > 0; count -= 1) {
      const at = Math.floor(random() * out.length);
      out[at] = (out[at] as number) ^ (1 << Math.floor(random() * 8));
    }
    return out;
  }
  if (kind < 0.55) return out.subarray(0, from);
  if (kind < 0.7) return Buffer.concat([out.subarray(0, from), out.subarray(from + length)]);
  if (kind < 0.85) return Buffer.concat([out.subarray(0, from + length), out.subarray(from)]);
  return out.fill(0, from, Math.min(out.length, from + length));
};

const text = `${JSON.stringify(good, null, 2)}\n`;

const DRAWING = Buffer.from(
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="60mm" height="40mm" viewBox="0 0 60 40" onload="x()">
<defs><linearGradient id="a"><stop offset="0" stop-color="red"/></linearGradient><g id="b"><rect width="9" height="9"/></g></defs><style>rect { fill: url(#a) }</style>
<script>alert(1)</script><use xlink:href="#b" x="9"/><a href="http://attacker.example/"><text x="3" y="9">words &amp; words</text></a><![CDATA[x]]><path d="M0 0L9 9"/></svg>`,
);

const ENTRIES = Array.from({ length: 12 }, (_, index) => ({
  number: index + 1,
  entry: { kind: 'away', id: `set-${index + 1}`, at: null },
}));

const JOURNAL = (() => {
  let chain = '';
  return Buffer.concat(
    ENTRIES.map((numbered) => {
      const line = Buffer.from(JSON.stringify(numbered));
      chain = createHash('sha256').update(chain).update(line).digest('hex').slice(0, 16);
      const hex = (value: number) => value.toString(16).padStart(8, '0');
      return Buffer.concat([Buffer.from(`${hex(line.length)} ${hex(crc32(line))} ${chain} `), line, Buffer.of(10)]);
    }),
  );
})();

const COPY = (() => {
  const lines = [
    { format: 'bashful-parlor-shelf', version: 1, number: 0, at: '2026-01-01T00:00:00.000Z' },
    ...Array.from({ length: 20 }, (_, index) => ({ kind: 'mark', name: `mark-${index}`, value: 'x'.repeat(index) })),
  ].map((line) => JSON.stringify(line));
  const sum = createHash('sha256');
  for (const line of lines) sum.update(line);
  return gzipSync(`${[...lines, JSON.stringify({ end: true, rows: lines.length - 1, sum: sum.digest('hex') })].join('\n')}\n`);
})();

/** Each door: what is sent to it by a seed, and what must hold of what comes of it. Throws where it does not. */
export const DOORS: Readonly<Record<string, (seed: number) => void | Promise<void>>> = {
  documents: (seed) => {
    const read = readSet(mutated(good, seed));
    if (read.ok && !readSet(JSON.parse(JSON.stringify(read.value))).ok) throw new Error('what was taken once is refused');
    if (!read.ok && (read.error.length === 0 || read.error.length > 101)) throw new Error(`${read.error.length} issues`);
  },
  files: (seed) => {
    const read = readSetFile(spoilt(Buffer.from(text), seededRandom(seed)).toString());
    if (!read.ok && read.error.length === 0) throw new Error('refused without a reason');
  },
  drawings: (seed) => {
    const clean = cleanSvg(spoilt(DRAWING, seededRandom(seed)).toString(), 4_000);
    const wrong =
      clean.ok &&
      /<script|<foreignObject|\son\w+=|<!DOCTYPE|href="(?!#|data:image)|url\((?!#|['"]?#)/i.exec(clean.value.replace(/>[^<]*</g, '><'));
    if (wrong) throw new Error(`it still has ${wrong[0]}`);
  },
  journals: (seed) => {
    const place = mkdtempSync(join(tmpdir(), 'parlor-hostile-'));
    writeFileSync(join(place, '000000000001.log'), spoilt(JOURNAL, seededRandom(seed)));
    const { entries } = readJournal<{ id: string }>(place);
    rmSync(place, { recursive: true });
    entries.forEach(({ number, entry }, index) => {
      if (entry.id !== `set-${number}` || (index > 0 && number <= (entries[index - 1]?.number ?? 0)))
        throw new Error('an entry that never was');
    });
  },
  copies: async (seed) => {
    let rows = 0;
    try {
      for await (const _ of readCopy(Readable.from([spoilt(COPY, seededRandom(seed))]))) rows += 1;
      if (rows !== 20) throw new Error('half a copy was taken for a whole one');
    } catch (problem) {
      if (!(problem instanceof CopyFault)) throw problem;
    }
  },
};
