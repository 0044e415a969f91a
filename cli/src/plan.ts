import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type PdfFonts, writePdf } from '@parlor/core/pdf';
import { boardsSvg } from '@parlor/core/print';
import { boardPlans, derive, layOutSet, readSetFile, type SetDocument, searchOf, templatePages } from '@parlor/core/set';
import { cutListCsv } from './cutListCsv.ts';
import { derivedJson } from './derivedJson.ts';

/** Everything that is written, by file name. */
type Files = Readonly<Record<string, string | Uint8Array>>;

const makeFiles = async (document: SetDocument, fonts: PdfFonts): Promise<Files> => {
  const derived = derive(document);
  const layouts = layOutSet(document, derived, [], () => searchOf(undefined));
  const pages = templatePages(document, derived, { pieces: null });
  return {
    'derived.json': `${JSON.stringify(derivedJson(document, derived, layouts), null, 2)}\n`,
    'cut-list.csv': cutListCsv(document, derived),
    'templates.pdf': await writePdf(pages, fonts, `${document.name} · templates`),
    'sheets.svg': boardsSvg(boardPlans(document, derived, layouts)),
  };
};

/** All files get their names only when every one of them is written. */
const writeAll = (directory: string, files: Files): void => {
  mkdirSync(directory, { recursive: true });
  const unfinished = (name: string) => join(directory, `.${name}.unfinished`);
  try {
    for (const [name, content] of Object.entries(files)) writeFileSync(unfinished(name), content);
    for (const name of Object.keys(files)) renameSync(unfinished(name), join(directory, name));
  } finally {
    for (const name of Object.keys(files)) rmSync(unfinished(name), { force: true });
  }
};

/** What a planned file came to, or the lines that say what is wrong with it. */
export type Planned =
  | { readonly ok: true; readonly written: readonly string[] }
  | { readonly ok: false; readonly issues: readonly string[] };

/** Plans a `.parlor.json` file into a directory. On a bad file nothing is written, not even the directory. */
export const plan = async (file: string, directory: string, fonts: PdfFonts): Promise<Planned> => {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (problem) {
    return { ok: false, issues: [`${file}: cannot be read (${(problem as NodeJS.ErrnoException).code ?? 'unknown reason'})`] };
  }
  const read = readSetFile(text);
  if (!read.ok) return { ok: false, issues: read.error.map(({ path, message }) => `${path === '' ? file : path}: ${message}`) };
  const files = await makeFiles(read.value, fonts);
  writeAll(directory, files);
  return { ok: true, written: Object.keys(files) };
};
