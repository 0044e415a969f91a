// Every preset alone at every usual scale through the command line: `npm run bench:presets`, some ten minutes. Writes what came of it into docs/benchmarks.md.
import { readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { PRESETS } from '@parlor/core/piece';
import { PLANNED_SCALES, wrongWithPreset } from '../../cli/src/presets.testing.ts';

const wrong: string[] = [];
for (const times of PLANNED_SCALES) {
  for (const { key } of PRESETS) {
    const found = wrongWithPreset(key, times);
    for (const each of found) process.stdout.write(`${each}\n`);
    wrong.push(...found);
  }
  process.stdout.write(`1:${times}: ${PRESETS.length} presets, ${wrong.length} wrong so far\n`);
}
const file = join(resolve(import.meta.dirname, '../..'), 'docs/benchmarks.md');
const scales = PLANNED_SCALES.map((times) => `1:${times}`).join(', ');
const line = `Each of ${PRESETS.length} presets alone at ${scales} through \`plan --strict\`: ${wrong.length} with an exit other than 0, an error, or pages that poppler does not open.`;
writeFileSync(
  file,
  readFileSync(file, 'utf8').replace(/<!-- presets -->[\s\S]*<!-- \/presets -->/, `<!-- presets -->\n${line}\n<!-- /presets -->`),
);
