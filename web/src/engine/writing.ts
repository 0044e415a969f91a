// What pages are written with: fonts, the maker's pictures, the writer itself, each fetched when it is first wanted.

import textFont from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url';
import nameFont from '@expo-google-fonts/fraunces/600SemiBold/Fraunces_600SemiBold.ttf?url';
import handFont from '@expo-google-fonts/shantell-sans/400Regular/ShantellSans_400Regular.ttf?url';
import type { Widths } from '@parlor/core/pdf';
import type { Page } from '@parlor/core/print';
import fallbackFont from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url';

const fetchFont = async (url: string): Promise<Uint8Array<ArrayBuffer>> => new Uint8Array(await (await fetch(url)).arrayBuffer());

/** The ids of the maker's own pictures among marks. */
const picturesIn = (marks: Page['marks']): readonly string[] =>
  marks.flatMap((mark) => (mark.kind === 'picture' ? [mark.picture] : mark.kind === 'group' ? picturesIn(mark.marks) : []));

/** The maker's own pictures that stand on pages; one that cannot be had is left white. */
export const picturesOn = async (pages: readonly Page[]): Promise<ReadonlyMap<string, Uint8Array>> => {
  const ids = [...new Set(pages.flatMap(({ marks }) => picturesIn(marks)))];
  const had = await Promise.all(
    ids.map(async (id) => {
      const response = await fetch(`/api/pictures/${id}`).catch(() => undefined);
      return response?.ok ? [[id, new Uint8Array(await response.arrayBuffer())] as const] : [];
    }),
  );
  return new Map(had.flat());
};

/** The PDF writer is larger than all the rest of the worker. */
const fetchWriter = () =>
  Promise.all([import('@parlor/core/pdf'), fetchFont(textFont), fetchFont(fallbackFont), fetchFont(nameFont), fetchFont(handFont)]);

/** What writes PDFs, fetched once. */
let writer: ReturnType<typeof fetchWriter> | undefined;
export const readyWriter = (): ReturnType<typeof fetchWriter> => {
  writer ??= fetchWriter();
  // What could not be fetched is fetched anew when it is asked for again.
  writer.catch(() => {
    writer = undefined;
  });
  return writer;
};

/** Pages as a PDF; tones with dots of an edge of `pixel` µm, or as fine as they are printed. */
export const pdfOf = async (
  pages: readonly Page[],
  title: string,
  onPage: (written: number, count: number) => void = () => undefined,
  pixel?: number,
): Promise<Uint8Array<ArrayBuffer>> => {
  const [[{ writePdf }, text, fallback, name, hand], pictures] = await Promise.all([readyWriter(), picturesOn(pages)]);
  return writePdf(pages, { text, fallback, name, hand }, title, pictures, onPage, pixel);
};

/** Measures words with the very faces that signs are written in. */
export const widthsOf = async (): Promise<Widths> => {
  const sources = { text: textFont, name: nameFont, hand: handFont };
  const faces = await Promise.all(
    Object.entries(sources).map(async ([name, url]) => new FontFace(`sign-${name}`, await fetchFont(url)).load()),
  );
  for (const face of faces) (self as unknown as { readonly fonts: FontFaceSet }).fonts.add(face);
  const pen = new OffscreenCanvas(1, 1).getContext('2d') as OffscreenCanvasRenderingContext2D;
  return (lines, face) => {
    pen.font = `100px sign-${face}`;
    return lines.map((line) => pen.measureText(line).width / 100);
  };
};
