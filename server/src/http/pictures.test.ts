import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cleanSvg } from '../reading/cleanSvg.ts';
import { pictureReader } from '../reading/index.ts';
import { upright } from '../reading/upright.ts';
import { MOST_BYTES } from './pictures.ts';
import { root, type Served, serve } from './serve.testing.ts';

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

const svg = (inside: string, attributes = 'width="60" height="40"', before = '') =>
  Buffer.from(`${before}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${inside}</svg>`);
const RED = '<rect width="30" height="20" fill="#d22"/>';

describe('a drawing from anybody', () => {
  // 210 mm × 140 mm and so on: all of one shape, in whatever unit.
  it.each([
    'width="210mm" height="140mm"',
    'width="3in" height="2in"',
    'width="10.5cm" height="7cm"',
    'width="90pt" height="60pt"',
    'viewBox="0 0 60 40"',
    'width="100%" height="100%" viewBox="0 0 60 40"',
  ])('is drawn 4,000 dots along its longer side when it says %s', async (size) => {
    const made = await upright(svg('<rect width="100%" height="100%" fill="#d22"/>', size));
    expect(made).toMatchObject({ ok: true, value: { width: 4_000, height: 2_667, mime: 'image/png' } });
    const { data } = await sharp(made.ok ? made.value.bytes : Buffer.alloc(0))
      .resize(3, 2)
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([...data.subarray(0, 3)].map((value) => Math.round(value / 16))).toEqual([14, 2, 2]);
  });

  it.each<[string, Buffer, string]>([
    [
      'noise that costs minutes',
      svg(
        `<filter id="f">${'<feTurbulence baseFrequency=".01" numOctaves="9"/>'.repeat(12)}</filter><rect width="60" height="40" filter="url(#f)"/>`,
      ),
      'svg-filters',
    ],
    [
      'a filter by its style',
      svg('<filter id="f"><feGaussianBlur stdDeviation="900"/></filter><g style="fill:red; filter: url(#f)"><circle r="9"/></g>'),
      'svg-filters',
    ],
    ['a filter by a sheet of styles', svg('<style>circle { filter: blur(90px) }</style><circle r="9"/>'), 'svg-filters'],
    ['a picture from a file', svg('<image xlink:href="file:///etc/passwd" width="40" height="40"/>'), 'svg-foreign'],
    ['a picture from elsewhere', svg('<image href="https://attacker.example/x.png" width="40" height="40"/>'), 'svg-foreign'],
    ['a part of another drawing', svg('<use xlink:href="/etc/drawing.svg#x"/>'), 'svg-foreign'],
    ['a drawing in a drawing by its bytes', svg('<image href="data:image/svg+xml;base64,AAAA" width="40" height="40"/>'), 'svg-foreign'],
    [
      'entities that multiply',
      svg(
        '<text>&a8;</text>',
        'width="9" height="9"',
        `<!DOCTYPE svg [<!ENTITY a "x">${Array.from({ length: 9 }, (_, n) => `<!ENTITY a${n} "${`&a${n === 0 ? '' : n - 1};`.repeat(10)}">`).join('')}]>`,
      ),
      'svg-entities',
    ],
    [
      'an entity from a file',
      svg('<text>&x;</text>', 'width="9" height="9"', '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>'),
      'svg-entities',
    ],
    [
      'uses that multiply',
      svg(
        `<g id="a0">${RED}</g>${Array.from({ length: 12 }, (_, n) => `<g id="a${n + 1}">${`<use href="#a${n}"/>`.repeat(10)}</g>`).join('')}`,
      ),
      'svg-repeats',
    ],
    ['a use of itself', svg('<g id="a"><use href="#a"/></g>'), 'svg-repeats'],
    ['too many things', svg('<rect/>'.repeat(60_000)), 'svg-too-large'],
    ['things too deep', svg(`${'<g>'.repeat(500)}${'</g>'.repeat(500)}`), 'svg-too-large'],
    ['what is no XML', svg('<rect'), 'svg-unreadable'],
  ])('with %s is refused, and why is said', async (_, file, code) => {
    expect(await upright(file)).toEqual({ ok: false, error: { code } });
  });

  it('loses what would run or reach out, and is drawn without it', async () => {
    const wild = svg(
      `<script>alert(1)</script><title>x</title><metadata><a/></metadata><foreignObject><body xmlns="http://www.w3.org/1999/xhtml"/></foreignObject>
       <style>@import url(https://attacker.example/x.css); rect { stroke: url('https://attacker.example/#x') }</style>
       <filter id="unused"><feTurbulence/></filter><a href="https://attacker.example/">${RED}</a><animate attributeName="x"/>`,
      'width="60" height="40" onload="alert(1)"',
    );
    const made = await upright(wild);
    expect(made).toMatchObject({ ok: true, value: { width: 4_000 } });
    const clean = cleanSvg(wild.toString(), 4_000);
    expect(clean.ok && clean.value.replace(/>\s+</g, '><').replace(/\s+/g, ' ')).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="4000" height="2667" viewBox="0 0 60 40">' +
        '<style>none rect { stroke: none }</style><a><rect width="30" height="20" fill="#d22"></rect></a></svg>',
    );
  });

  it('has its inner pictures where they stand in it', async () => {
    const inner = (
      await sharp({ create: { width: 8, height: 8, channels: 3, background: '#1e1ec8' } })
        .png()
        .toBuffer()
    ).toString('base64');
    const made = await upright(svg(`<image href="data:image/png;base64,${inner}" width="60" height="40" preserveAspectRatio="none"/>`));
    const { data } = await sharp(made.ok ? made.value.bytes : Buffer.alloc(0))
      .resize(1, 1)
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([...data].map((value) => Math.round(value / 32))).toEqual([1, 1, 6]);
  });
});

describe('the process that reads pictures', () => {
  const program = join(root, 'server/dist/pictureMain.js');
  const never = new AbortController().signal;
  /** Takes a second or two to draw: a pattern in a pattern in a pattern. */
  const slow = svg(
    `${Array.from({ length: 6 }, (_, n) => `<pattern id="p${n}" width="3" height="3" patternUnits="userSpaceOnUse"><circle r="2" fill="${n === 0 ? 'red' : `url(#p${n - 1})`}"/></pattern>`).join('')}<rect width="60" height="40" fill="url(#p5)" opacity=".5"/>`,
  );

  it('is ended when it takes too long, and the next one is read all the same', async () => {
    const reader = pictureReader(program, 0.001);
    expect(await reader.read(slow, never)).toEqual({ ok: false, error: { code: 'picture-too-slow' } });
    reader.close();
    const patient = pictureReader(program, 30);
    expect(await patient.read(await corners().png().toBuffer(), never)).toMatchObject({ ok: true, value: { width: 60 } });
    patient.close();
  });

  it('is ended when whoever asked has gone, and has one waiting line', async () => {
    const reader = pictureReader(program, 30);
    const gone = new AbortController();
    const left = reader.read(slow, gone.signal);
    const next = reader.read(await corners().png().toBuffer(), never);
    gone.abort();
    expect(await left).toMatchObject({ ok: false });
    expect(await next).toMatchObject({ ok: true });
    const small = await corners().png().toBuffer();
    const many = await Promise.all(Array.from({ length: 20 }, () => reader.read(small, never)));
    expect(many.filter(({ ok }) => ok)).toHaveLength(12);
    expect(many.filter((each) => !each.ok && each.error.code === 'busy')).toHaveLength(8);
    reader.close();
  });
});
