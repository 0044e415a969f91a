import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { searchOf } from '@parlor/core/cut';
import { type PdfFonts, writePdf } from '@parlor/core/pdf';
import { boardsSvg } from '@parlor/core/print';
import {
  boardPlans,
  type DerivedSet,
  derive,
  describeFinding,
  layOutSet,
  type PagesWanted,
  pagesOf,
  readSetFile,
  type SetDocument,
  strangersIn,
} from '@parlor/core/set';
import { cutListCsv } from './cutListCsv.ts';
import { derivedJson } from './derivedJson.ts';

/** Everything that is written, by file name. */
type Files = Readonly<Record<string, string | Uint8Array>>;

const makeFiles = async (document: SetDocument, derived: DerivedSet, fonts: PdfFonts): Promise<Files> => {
  const layouts = layOutSet(document, derived, [], () => searchOf(undefined));
  const files: Record<string, string | Uint8Array> = {
    'derived.json': `${JSON.stringify(derivedJson(document, derived, layouts), null, 2)}\n`,
    'cut-list.csv': cutListCsv(document, derived),
  };
  // What a set has none of is not written: a file without pages cannot be opened.
  for (const what of ['templates', 'coverings', 'patterns'] satisfies readonly PagesWanted['what'][]) {
    const pages = pagesOf(document, derived, { pieces: null, what });
    if (pages.length > 0) files[`${what}.pdf`] = await writePdf(pages, fonts, `${document.name} · ${what}`);
  }
  const plans = boardPlans(document, derived, layouts);
  if (plans.length > 0) files['sheets.svg'] = boardsSvg(plans);
  return files;
};

/** Errors of a piece that was built without something, or is larger than what it is cut from. */
const UNPLANNED: ReadonlySet<string> = new Set(['part-larger-than-board', 'left-out', 'cannot-be-built']);

/** What could not be planned, a sentence each: pieces that cannot be built, and parts that no sheet is large enough for. */
const unplanned = ({ units }: SetDocument, { pieces }: DerivedSet): readonly string[] =>
  pieces.flatMap(({ name, made, findings }) =>
    findings
      .filter(({ code, severity }) => severity === 'error' && (made === null || UNPLANNED.has(code)))
      .map((finding) => {
        const { title, reason } = describeFinding(finding, units);
        return `${name}: ${title}. ${reason}`;
      }),
  );

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

/** What a planned file came to: what was written, and what could not be planned; or the lines that say what is wrong with the file. */
export type Planned =
  | { readonly ok: true; readonly written: readonly string[]; readonly unplanned: readonly string[] }
  | { readonly ok: false; readonly issues: readonly string[] };

/** Plans a `.parlor.json` file into a directory. On a bad file nothing is written, not even the directory; nor, when that is asked for, where
 *  something of it cannot be planned. */
export const plan = async (file: string, directory: string, fonts: PdfFonts, strict: boolean): Promise<Planned> => {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (problem) {
    return { ok: false, issues: [`${file}: cannot be read (${(problem as NodeJS.ErrnoException).code ?? 'unknown reason'})`] };
  }
  const read = readSetFile(text);
  if (!read.ok) return { ok: false, issues: read.error.map(({ path, message }) => `${path === '' ? file : path}: ${message}`) };
  const strangers = strangersIn(read.value);
  if (strangers.length > 0) return { ok: false, issues: strangers.map(({ path, message }) => `${path}: ${message}`) };
  const derived = derive(read.value);
  const left = unplanned(read.value, derived);
  if (strict && left.length > 0) return { ok: true, written: [], unplanned: left };
  const files = await makeFiles(read.value, derived, fonts);
  writeAll(directory, files);
  return { ok: true, written: Object.keys(files), unplanned: left };
};
