// What the docs say stands somewhere does.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = resolve(import.meta.dirname, '../..');
const SKIPPED = new Set(['node_modules', 'dist', '.git']);
const filesIn = (folder: string): readonly string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (SKIPPED.has(entry.name)) return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesIn(path) : [relative(root, path)];
  });
const files = filesIn(root);
const docs = files.filter((file) => file.endsWith('.md') && !file.startsWith('docs/format/') && file !== 'CHANGELOG.md');

describe('the docs', () => {
  it.each(docs)('%s names only files that are there', (doc) => {
    const text = readFileSync(join(root, doc), 'utf8');
    const named = [...text.matchAll(/`([\w./-]+\.(?:ts|tsx|mjs))`/g)].map(([, path]) => path as string);
    const gone = named.filter((path) => !files.some((file) => file === path || file.endsWith(`/${path}`)));
    expect(gone).toEqual([]);
  });

  it.each(docs)('%s links only to what is there', (doc) => {
    const text = readFileSync(join(root, doc), 'utf8');
    const links = [...text.matchAll(/\]\((?!https?:|#|mailto:)([^)#\s]+)[^)]*\)/g)].map(([, path]) => path as string);
    expect(links.filter((path) => !existsSync(join(root, dirname(doc), path)))).toEqual([]);
  });
});
