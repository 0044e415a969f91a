// The first script and everything that index.html loads at once with it, whatever the bundler called it.
import { readFileSync } from 'node:fs';

const page = readFileSync(new URL('./web/dist/index.html', import.meta.url), 'utf8');
const scripts = [...page.matchAll(/(?:src|href)="\/([^"]+\.js)"/g)].map(([, path]) => `web/dist/${path}`);

export default [{ name: 'first script and what it loads at once', path: scripts, limit: '200 kB', gzip: true }];
