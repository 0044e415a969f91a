// Reads pages back out of the very PDF that goes to the printer, and paints them: off the page's thread, by another library than the one that
// wrote them.
import '../noEval.ts';
import { type Habit, type Pixels, throughPrinter } from '@parlor/core/print';
import type { PaperName } from '@parlor/core/stock';
import { expose, transfer } from 'comlink';
import { getDocument } from 'pdfjs-dist';
import * as readsHere from 'pdfjs-dist/build/pdf.worker.min.mjs';

// The library's own worker is this one.
Object.assign(globalThis, { pdfjsWorker: readsHere });

type Made = { canvas: OffscreenCanvas | null; context: OffscreenCanvasRenderingContext2D | null };

/** Canvases where there is no page to make them. */
class Canvases {
  create(width: number, height: number): Made {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext('2d', { willReadFrequently: true }) };
  }
  reset({ canvas }: Made, width: number, height: number): void {
    if (canvas) Object.assign(canvas, { width, height });
  }
  destroy(made: Made): void {
    Object.assign(made, { canvas: null, context: null });
  }
}

/** Our pages have no filters. */
class NoFilters {
  addFilter = (): string => 'none';
  addHCMFilter = (): string => 'none';
  addAlphaFilter = (): string => 'none';
  addLuminosityFilter = (): string => 'none';
  addHighlightHCMFilter = (): string => 'none';
  destroy = (): void => undefined;
}

const paint = async (bytes: Uint8Array<ArrayBuffer>, number: number, width: number): Promise<OffscreenCanvas> => {
  const task = getDocument({
    data: bytes,
    disableFontFace: true,
    useSystemFonts: false,
    useWorkerFetch: false,
    verbosity: 0,
    CanvasFactory: Canvases,
    FilterFactory: NoFilters,
  } as unknown as Parameters<typeof getDocument>[0]);
  try {
    const page = await (await task.promise).getPage(number);
    const viewport = page.getViewport({ scale: width / page.getViewport({ scale: 1 }).width });
    const canvas = new OffscreenCanvas(Math.round(viewport.width), Math.round(viewport.height));
    await page.render({ canvas: canvas as unknown as HTMLCanvasElement, viewport, background: '#ffffff' }).promise;
    return canvas;
  } finally {
    await task.destroy();
  }
};

const pagePictures = {
  /** A page of a PDF as a picture so many pixels wide; through a printer with a habit, where one is given. */
  picture: async (
    bytes: Uint8Array<ArrayBuffer>,
    number: number,
    width: number,
    through: { readonly paper: PaperName; readonly habit: Habit } | null,
  ): Promise<ImageBitmap> => {
    const canvas = await paint(bytes, number, width);
    if (through) {
      const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
      const seen = pen.getImageData(0, 0, canvas.width, canvas.height);
      const printed = throughPrinter(seen as Pixels, through.paper, through.habit);
      pen.putImageData(new ImageData(printed.data, printed.width, printed.height), 0, 0);
    }
    const bitmap = canvas.transferToImageBitmap();
    return transfer(bitmap, [bitmap]);
  },
};

export type PagePictureWorker = typeof pagePictures;
expose(pagePictures);

/** A page of nothing, to have the library ready when the first real one comes. */
const NOTHING = `%PDF-1.4
1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj
2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj
3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 9 9]>>endobj
trailer<</Root 1 0 R>>`;
void paint(new TextEncoder().encode(NOTHING), 1, 9).catch(() => undefined);
