import { join } from 'node:path';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { root } from '../fresh.testing.ts';
import { cleanSvg } from './cleanSvg.ts';
import { pictureReader } from './index.ts';
import { upright } from './upright.ts';

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

/** 60 × 40 pixels of one colour. */
const plain = () =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: '#1e1ec8' } })
    .png()
    .toBuffer();

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
    expect(await patient.read(await plain(), never)).toMatchObject({ ok: true, value: { width: 60 } });
    patient.close();
  });

  it('is ended when whoever asked has gone, and has one waiting line', async () => {
    const reader = pictureReader(program, 30);
    const gone = new AbortController();
    const left = reader.read(slow, gone.signal);
    const next = reader.read(await plain(), never);
    gone.abort();
    expect(await left).toMatchObject({ ok: false });
    expect(await next).toMatchObject({ ok: true });
    const small = await plain();
    const many = await Promise.all(Array.from({ length: 20 }, () => reader.read(small, never)));
    expect(many.filter(({ ok }) => ok)).toHaveLength(12);
    expect(many.filter((each) => !each.ok && each.error.code === 'busy')).toHaveLength(8);
    reader.close();
  });
});
