// Pictures that a maker brings in: read, set upright, and made into what every page and printer can show. Runs in a process of its own.
import { err, ok, type Result } from '@parlor/core/kit';
import sharp, { type Sharp } from 'sharp';
import { cleanSvg, type SvgProblem } from './cleanSvg.ts';

/** A picture as it is kept: upright, JPEG or PNG, without whatever else its file told of where and by whom it was taken. */
export type Upright = { readonly mime: string; readonly width: number; readonly height: number; readonly bytes: Uint8Array };

export type PictureProblem =
  | SvgProblem
  | { readonly code: 'picture-unreadable' | 'picture-of-other-kind' }
  | { readonly code: 'picture-too-many-pixels'; readonly megapixels: number; readonly most: number };

/** Pictures of more pixels are refused: an A4 page at 600 dots to the inch has 35 million. */
const MOST_PIXELS = 50_000_000;

const KINDS = ['jpeg', 'png', 'webp'];

/** An SVG has no pixels of its own; it is drawn so many across on its longer side. */
const SVG_SIDE = 4_000;

const textOf = (file: Uint8Array): string | null => {
  const text = Buffer.from(file.subarray(0, 1_000)).toString('utf8');
  return /^\uFEFF?\s*<(\?xml|!--|!doctype\s+svg|([\w-]+:)?svg[\s>])/i.test(text)
    ? Buffer.from(file)
        .toString('utf8')
        .replace(/^\uFEFF/, '')
    : null;
};

const drawn = async (text: string): Promise<Result<Upright, PictureProblem>> => {
  const clean = cleanSvg(text, SVG_SIDE);
  if (!clean.ok) return clean;
  return finished(sharp(Buffer.from(clean.value), { density: 72, limitInputPixels: MOST_PIXELS }), true);
};

const finished = async (picture: Sharp, asPng: boolean): Promise<Result<Upright, PictureProblem>> => {
  const made = picture.autoOrient().flatten({ background: '#ffffff' }).toColourspace('srgb');
  const { data, info } = await (asPng
    ? made.png({ compressionLevel: 6 })
    : made.jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
  ).toBuffer({
    resolveWithObject: true,
  });
  return ok({ mime: asPng ? 'image/png' : 'image/jpeg', width: info.width, height: info.height, bytes: new Uint8Array(data) });
};

/** Makes a picture upright by its EXIF orientation and keeps it as JPEG or, where it was drawn, as PNG on white.
 *  Errors: a PictureProblem, which says why it is refused. */
export const upright = async (file: Uint8Array): Promise<Result<Upright, PictureProblem>> => {
  try {
    const text = textOf(file);
    if (text !== null) return await drawn(text);
    const { format, width, height } = await sharp(file, { limitInputPixels: false, unlimited: false }).metadata();
    if (!KINDS.includes(format)) return err({ code: 'picture-of-other-kind' });
    if (width * height > MOST_PIXELS)
      return err({ code: 'picture-too-many-pixels', megapixels: Math.round((width * height) / 1e6), most: MOST_PIXELS / 1e6 });
    return await finished(sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' }), format === 'png');
  } catch {
    return err({ code: 'picture-unreadable' });
  }
};
