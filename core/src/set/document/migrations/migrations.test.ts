// Documents of every version there was keep opening: fixtures that were written by the programs of their time, and pieces that say no version.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { PRESETS } from '../../../piece/index.ts';
import { derive, readPiece, readSet, readSetFile, type SetDocument, VERSION, writeSetFile } from '../../index.ts';
import { migrated } from './index.ts';

const FIXTURES = join(import.meta.dirname, 'fixtures');
const files = readdirSync(FIXTURES);

const opened = (text: string): SetDocument => {
  const read = readSetFile(text);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

describe('documents of earlier versions', () => {
  it('there is a fixture of each', () => {
    expect(new Set(files.map((name) => Number(name.split('-')[0])))).toEqual(
      new Set(Array.from({ length: VERSION - 1 }, (_, index) => index + 1)),
    );
  });

  it.each(files)('%s opens as it was meant, is written as one of today, and opens again as the same', (name) => {
    const text = readFileSync(join(FIXTURES, name), 'utf8');
    const was = JSON.parse(text) as { readonly version: number; readonly pieces: readonly { readonly name?: string }[] };
    expect(was.version).toBe(Number(name.split('-')[0]));
    const document = opened(text);
    expect(document.version).toBe(VERSION);
    expect(document.pieces).toHaveLength(was.pieces.length);
    const again = opened(writeSetFile(document));
    expect(again).toEqual(document);
    for (const { name: piece, problem } of derive(document).pieces) expect(problem, piece).toBeNull();
  });

  it('what was called school is how the body is measured', () => {
    const pieces = [{ family: 'table', school: 'by the doll' }, { family: 'seat', school: 'strict' }, { family: 'bed' }];
    const document = opened(JSON.stringify({ format: 'bashful-parlor-set', version: 1, pieces }));
    expect(document.pieces.map(({ bodyScale }) => bodyScale)).toEqual(['doll', 'set', 'set']);
    const [first] = (() => {
      const kept = readPiece({ family: 'table', school: 'by the doll' });
      return kept.ok ? [kept.value.bodyScale] : [kept.error];
    })();
    expect(first).toBe('doll');
  });

  it('a field of an earlier version is not known in one of today, nor a value that it never had', () => {
    const issue = (version: number, school: string) => {
      const read = readSet({ format: 'bashful-parlor-set', version, pieces: [{ family: 'table', school }] });
      return read.ok ? [] : read.error.map(({ path }) => path);
    };
    expect(issue(VERSION, 'strict')).toEqual(['pieces[0].school']);
    expect(issue(1, 'otherwise')).toEqual(['pieces[0].school']);
  });

  it('a version that is to come says so; one that never was is refused', () => {
    const message = (version: unknown): string => {
      const read = readSet({ format: 'bashful-parlor-set', version });
      return read.ok ? '' : (read.error[0]?.message ?? '');
    };
    expect(message(VERSION + 1)).toBe(
      `This file is of version ${VERSION + 1}, which a newer program wrote; versions 1 to ${VERSION} are known here.`,
    );
    for (const version of [0, -1, 1.5, '1', null, undefined])
      expect(message(version), String(version)).toContain(`must be from 1 to ${VERSION}`);
  });

  it('the chain leaves alone what is as it is today, and what is no document', () => {
    for (const { key, piece } of PRESETS) {
      const today = { format: 'bashful-parlor-set', version: 1, pieces: [piece] };
      expect(migrated(today), key).toEqual({ ...today, version: VERSION });
    }
    for (const odd of [
      null,
      7,
      'x',
      [],
      {},
      { version: 1 },
      { version: 1, pieces: 7 },
      { version: 1, pieces: [null, 7, [], { school: 7 }] },
    ])
      expect(migrated(odd)).toEqual(typeof odd === 'object' && odd !== null && 'version' in odd ? { ...odd, version: VERSION } : odd);
  });
});
