import { renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { placesIn, prepare } from './app/index.ts';

// Run by the build: the database is made in a folder of its own, and its inside becomes the prepared one.
const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
const { prepared, migrations } = placesIn(root);
rmSync(prepared, { recursive: true, force: true });
const names = await prepare(join(dirname(prepared), 'preparing'), migrations, join(root, 'demo'));
renameSync(join(dirname(prepared), 'preparing/database'), prepared);
rmSync(join(dirname(prepared), 'preparing'), { recursive: true, force: true });
process.stdout.write(`Prepared a database with ${names.length} demo sets.\n`);
