import sharp, { type Sharp } from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MOST_BYTES } from './pictures.ts';
import { type Served, serve } from './serve.testing.ts';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.stop());

/** Four colours in the corners, 60 × 40: red upper left, green upper right, blue lower left, white lower right. */
const corners = (): Sharp => {
  const colours = { red: [220, 30, 30], green: [30, 160, 40], blue: [30, 40, 200], white: [250, 250, 250] } as const;
  const pixels = Buffer.alloc(60 * 40 * 3);
  for (let y = 0; y < 40; y += 1)
    for (let x = 0; x < 60; x += 1) {
      const colour = colours[y < 20 ? (x < 30 ? 'red' : 'green') : x < 30 ? 'blue' : 'white'];
      pixels.set(colour, (y * 60 + x) * 3);
    }
  return sharp(pixels, { raw: { width: 60, height: 40, channels: 3 } });
};

const send = async (body: Buffer, type = 'image/png') => {
  const { status, text } = await served.raw('POST', '/api/pictures', { 'content-type': type, 'content-length': String(body.length) }, body);
  return { status, body: JSON.parse(text) };
};

/** The colour in a corner of what is kept, in a word. */
const cornersOf = async (id: string): Promise<readonly string[]> => {
  const response = await fetch(`${served.base}/api/pictures/${id}`);
  const { data, info } = await sharp(Buffer.from(await response.arrayBuffer()))
    .raw()
    .toBuffer({ resolveWithObject: true });
  const at = (x: number, y: number) => {
    const index = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * info.channels;
    const [r, g, b] = [data[index] as number, data[index + 1] as number, data[index + 2] as number];
    return r > 200 && g > 200 ? 'white' : r > g && r > b ? 'red' : g > b ? 'green' : 'blue';
  };
  return [at(0.2, 0.2), at(0.8, 0.2), at(0.2, 0.8), at(0.8, 0.8)];
};

describe('a maker’s own pictures', () => {
  it.each([
    ['png', () => corners().png().toBuffer(), 'image/png'],
    ['jpeg', () => corners().jpeg({ quality: 95 }).toBuffer(), 'image/jpeg'],
    ['webp', () => corners().webp({ lossless: true }).toBuffer(), 'image/jpeg'],
  ] as const)('a %s is kept under its sum, and given back upright for as long as anybody likes', async (kind, make, mime) => {
    const kept = await send(await make(), `image/${kind}`);
    expect(kept).toMatchObject({ status: 201, body: { width: 60, height: 40 } });
    expect(kept.body.id).toMatch(/^[0-9a-f]{64}$/);
    const shown = await fetch(`${served.base}/api/pictures/${kept.body.id}`);
    expect(shown.headers.get('content-type')).toBe(mime);
    expect(shown.headers.get('cache-control')).toMatch(/immutable/);
    expect(await cornersOf(kept.body.id)).toEqual(['red', 'green', 'blue', 'white']);
    expect((await send(await make(), `image/${kind}`)).body.id).toBe(kept.body.id);
  });

  it('a camera that was held on its side says so (EXIF orientation 6), and the picture is set upright', async () => {
    const turned = await corners().jpeg({ quality: 95 }).withMetadata({ orientation: 6 }).toBuffer();
    const kept = await send(turned, 'image/jpeg');
    expect(kept.body).toMatchObject({ width: 40, height: 60 });
    // A quarter clockwise: what was lower left is now upper left.
    expect(await cornersOf(kept.body.id)).toEqual(['blue', 'red', 'white', 'green']);
  });

  it('an SVG is drawn fine enough to print, whatever size it says; what can be seen through is white', async () => {
    const svg = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><rect width="30" height="20" fill="#d22"/></svg>',
    );
    const kept = await send(svg, 'image/svg+xml');
    expect(kept.status).toBe(201);
    expect(kept.body.width).toBeGreaterThan(1_500);
    expect(await cornersOf(kept.body.id)).toEqual(['red', 'white', 'white', 'white']);
  });

  it('says what is wrong: too many bytes, too many pixels, another kind, broken off, nothing at all', async () => {
    expect(await send(Buffer.alloc(MOST_BYTES + 1))).toMatchObject({
      status: 413,
      body: { error: { code: 'picture-too-large', megabytes: 25 } },
    });
    const wide = await sharp({ create: { width: 12_000, height: 9_000, channels: 3, background: '#888' } })
      .png({ compressionLevel: 1 })
      .toBuffer();
    expect(await send(wide)).toMatchObject({ status: 413, body: { error: { code: 'picture-too-many-pixels', megapixels: 108 } } });
    const gif = await corners().gif().toBuffer();
    expect(await send(gif, 'image/gif')).toMatchObject({ status: 415, body: { error: { code: 'picture-of-other-kind' } } });
    const whole = await corners().png().toBuffer();
    expect(await send(whole.subarray(0, 120))).toMatchObject({ status: 422, body: { error: { code: 'picture-unreadable' } } });
    expect(await send(Buffer.from('<html>'))).toMatchObject({ status: 422 });
    expect(await send(Buffer.alloc(0))).toMatchObject({ status: 422 });
  });

  it('other kinds of bodies are taken there no more than anywhere, nor pictures elsewhere', async () => {
    expect(await send(Buffer.from('x'), 'text/plain')).toMatchObject({ status: 415, body: { error: { code: 'not-json' } } });
    const elsewhere = await served.raw('POST', '/api/sets', { 'content-type': 'image/png', 'content-length': '1' }, Buffer.from('x'));
    expect(elsewhere.status).toBe(415);
    const foreign = await served.raw(
      'POST',
      '/api/pictures',
      { 'content-type': 'image/png', origin: 'http://elsewhere.example', 'content-length': '1' },
      Buffer.from('x'),
    );
    expect(foreign.status).toBe(403);
    expect((await served.ask('GET', `/api/pictures/${'0'.repeat(64)}`)).status).toBe(404);
  });

  it('what a camera tells of itself and of where it was is left out', async () => {
    const told = await corners()
      .jpeg()
      .withExif({ IFD0: { Make: 'Camera', Artist: 'Somebody' }, IFD3: { GPSLatitude: '52/1 0/1 0/1' } })
      .toBuffer();
    expect((await sharp(told).metadata()).exif).toBeDefined();
    const kept = await send(told, 'image/jpeg');
    const bytes = Buffer.from(await (await fetch(`${served.base}/api/pictures/${kept.body.id}`)).arrayBuffer());
    const { exif, xmp, iptc } = await sharp(bytes).metadata();
    expect([exif, xmp, iptc]).toEqual([undefined, undefined, undefined]);
    expect(bytes.includes('Somebody')).toBe(false);
  });
});
