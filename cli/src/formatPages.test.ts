// How files are written, as it stands in docs/format: made from the schema as it is, true of files that open, and refused by a reader that is not ours where they do not.
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { PRESETS } from '@parlor/core/piece';
import { derive, documentJsonSchema, readSet, readSetFile, VERSION, writeSetFile } from '@parlor/core/set';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { exampleOf, formatPages } from './formatPages.ts';

const root = resolve(import.meta.dirname, '../..');
const FOLDER = join(root, 'docs/format');
const families = Object.keys(formatPages()).flatMap((name) => (/^(?!pieces)[a-z]+\.md$/.test(name) ? [name.replace('.md', '')] : []));

/** The registry's own reader of JSON Schema; "date" is a word it need not know here. */
const isGood = new Ajv2020({ strict: false, validateFormats: false }).compile(documentJsonSchema());

const parsed = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'));

describe('the pages of docs/format', () => {
  it('are those that the schema makes: npm run docs:format', () => {
    const pages = formatPages();
    expect(readdirSync(FOLDER).sort()).toEqual(Object.keys(pages).sort());
    for (const [name, text] of Object.entries(pages)) expect(readFileSync(join(FOLDER, name), 'utf8') === text, name).toBe(true);
  });

  it.each(families)('%s: its example is read, and stands without an error', (family) => {
    const read = readSetFile(exampleOf(family));
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    for (const { problem, findings } of derive(read.value).pieces) {
      expect(problem).toBeNull();
      expect(findings.filter(({ severity }) => severity === 'error')).toEqual([]);
    }
  });
});

describe('the JSON Schema', () => {
  it('takes what the program takes: demo sets, every preset, and both written out', () => {
    const demos = readdirSync(join(root, 'demo')).filter((name) => name.endsWith('.parlor.json'));
    const documents = [
      ...demos.map((name) => parsed(join(root, 'demo', name))),
      ...PRESETS.map(({ piece }) => ({
        format: 'bashful-parlor-set',
        version: VERSION,
        $schema: '../docs/format/parlor.schema.json',
        pieces: [piece],
      })),
    ];
    for (const document of documents) {
      expect(isGood(document), JSON.stringify(isGood.errors?.slice(0, 2))).toBe(true);
      const read = readSet(document);
      if (!read.ok) throw new Error(JSON.stringify(read.error));
      expect(isGood(JSON.parse(writeSetFile(read.value))), JSON.stringify(isGood.errors?.slice(0, 2))).toBe(true);
      expect('$schema' in read.value).toBe(false);
    }
  });

  it.each([
    ['a field that is spelled wrong', { pieces: [{ family: 'table', widht: '1 m' }] }],
    ['a family that is none', { pieces: [{ family: 'boat' }] }],
    ['a value that may not stand there', { pieces: [{ family: 'table', stands: 'air' }] }],
    ['a size that is a list', { pieces: [{ width: [1] }] }],
    ['an earlier version', { version: 1 }],
    ['more pieces than a set holds', { pieces: Array.from({ length: 201 }, () => ({})) }],
  ])('refuses %s', (_, more) => {
    expect(isGood({ format: 'bashful-parlor-set', version: VERSION, ...more })).toBe(false);
  });
});
