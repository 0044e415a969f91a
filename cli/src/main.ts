import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import type { PdfFonts } from '@parlor/core/pdf';
import { plan } from './plan.ts';

const USAGE = 'Usage: npm run --silent parlor -- plan FILE.parlor.json --out DIR [--strict]';

const loadFonts = (): PdfFonts => {
  const find = createRequire(import.meta.url);
  const load = (name: string) => new Uint8Array(readFileSync(find.resolve(name)));
  return {
    text: load('@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
    fallback: load('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
    name: load('@expo-google-fonts/fraunces/600SemiBold/Fraunces_600SemiBold.ttf'),
    hand: load('@expo-google-fonts/shantell-sans/400Regular/ShantellSans_400Regular.ttf'),
  };
};

const readArguments = (): { readonly file: string; readonly out: string; readonly strict: boolean } | undefined => {
  try {
    const { positionals, values } = parseArgs({
      allowPositionals: true,
      options: { out: { type: 'string' }, strict: { type: 'boolean' } },
    });
    const [verb, file, ...rest] = positionals;
    return verb === 'plan' && file && values.out && rest.length === 0
      ? { file, out: values.out, strict: values.strict === true }
      : undefined;
  } catch {
    return undefined;
  }
};

const wanted = readArguments();
if (!wanted) {
  process.stderr.write(`${USAGE}\n`);
  process.exit(2);
}
// Paths are meant from where the command was typed, not from where npm runs it.
const from = process.env['INIT_CWD'] ?? process.cwd();
const done = await plan(resolve(from, wanted.file), resolve(from, wanted.out), loadFonts(), wanted.strict);
if (!done.ok) {
  process.stderr.write(`${done.issues.join('\n')}\n`);
  process.exit(2);
}
if (done.written.length > 0) process.stdout.write(`Wrote ${done.written.join(', ')} to ${wanted.out}\n`);
if (done.unplanned.length > 0) process.stderr.write(`Not everything could be planned.\n${done.unplanned.join('\n')}\n`);
process.exit(done.unplanned.length > 0 ? 1 : 0);
