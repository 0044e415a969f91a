// Pictures that a maker brings in: read, set upright, and made into what every page and printer can show.
import { err, ok, type Result } from '@parlor/core/kit';
import type { Context } from 'koa';
import getRawBody from 'raw-body';
import sharp from 'sharp';
import { getPicture, type Kept, keepPicture, type Store } from '../store/index.ts';
import { answerFailure, type Failure } from './failure.ts';

/** Larger files and pictures are refused. */
export const MOST_BYTES = 25 * 1024 * 1024;
export const MOST_PIXELS = 100_000_000;

const KINDS = ['jpeg', 'png', 'webp', 'svg'];

/** An SVG has no pixels of its own; it is drawn so many across on its longer side. */
const SVG_SIDE = 4_000;

/** How fine an SVG has to be drawn, from the size that it says. */
const densityFor = (width: number, height: number): number => Math.max(1, Math.min(2_400, (72 * SVG_SIDE) / Math.max(1, width, height)));

/** Makes a picture upright by its EXIF orientation and keeps it as JPEG or, where it was drawn, as PNG on white.
 *  Errors: 'picture-unreadable', 'picture-of-other-kind', 'picture-too-many-pixels'. */
export const upright = async (file: Uint8Array): Promise<Result<Kept, Failure>> => {
  try {
    const { format, width, height } = await sharp(file, { limitInputPixels: false, unlimited: false }).metadata();
    if (!KINDS.includes(format)) return err({ code: 'picture-of-other-kind' });
    if (format !== 'svg' && width * height > MOST_PIXELS)
      return err({ code: 'picture-too-many-pixels', megapixels: Math.round((width * height) / 1e6) });
    const density = format === 'svg' ? { density: densityFor(width, height) } : {};
    const made = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error', ...density })
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb');
    const drawn = format === 'png' || format === 'svg';
    const { data, info } = await (drawn
      ? made.png({ compressionLevel: 9 })
      : made.jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    ).toBuffer({
      resolveWithObject: true,
    });
    return ok({ mime: drawn ? 'image/png' : 'image/jpeg', width: info.width, height: info.height, bytes: new Uint8Array(data) });
  } catch {
    return err({ code: 'picture-unreadable' });
  }
};

/** Takes a picture from a request's bare body. */
export const takePicture = async (context: Context, store: Store, clock: () => Date): Promise<void> => {
  const file = await getRawBody(context.req, { limit: MOST_BYTES }).catch((problem: { status?: number }) =>
    problem.status === 413 ? ('too large' as const) : ('broken off' as const),
  );
  if (file === 'too large') return answerFailure(context, { code: 'picture-too-large', megabytes: MOST_BYTES / 1024 / 1024 });
  if (file === 'broken off' || file.length === 0) return answerFailure(context, { code: 'picture-unreadable' });
  const read = await upright(file);
  if (!read.ok) return answerFailure(context, read.error);
  const kept = await keepPicture(store, read.value, clock());
  if (!kept.ok) return answerFailure(context, kept.error);
  context.status = 201;
  context.body = kept.value;
};

/** Answers a picture's bytes. They never change under their name, so a browser may keep them. */
export const showPicture = async (context: Context, store: Store, id: string): Promise<void> => {
  const found = await getPicture(store, id);
  if (!found.ok) return answerFailure(context, found.error);
  context.type = found.value.mime;
  context.set('Cache-Control', 'private, max-age=31536000, immutable');
  context.body = Buffer.from(found.value.bytes);
};
