// Writes docs/format anew: `npm run docs:format`.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { formatPages } from './formatPages.ts';

const folder = resolve(import.meta.dirname, '../../docs/format');
mkdirSync(folder, { recursive: true });
for (const [name, text] of Object.entries(formatPages())) writeFileSync(join(folder, name), text);
