import { launch } from '/work/main/e2e/src/browser.ts';

const [, , base, out, path, w = '1280', h = '800', ...acts] = process.argv;
const b = await launch();
const p = await b.newPage();
await p.setViewport({ width: +w, height: +h });
p.on('console', (m) => {
  if (['error', 'warn'].includes(m.type())) console.log('console', m.text());
});
p.on('pageerror', (e) => console.log('pageerror', String(e)));
await p.goto(base + path, { waitUntil: 'networkidle0' });
await new Promise((r) => setTimeout(r, 900));
for (const a of acts) {
  const [k, ...r] = a.split('=');
  const v = r.join('=');
  if (k === 'click') await p.click(v);
  if (k === 'eval') console.log(await p.evaluate(v));
  if (k === 'wait') await new Promise((r) => setTimeout(r, +v));
  if (k === 'hover') await p.hover(v);
  if (k === 'type') await p.keyboard.type(v);
  if (k === 'key') await p.keyboard.press(v as any);
}
await p.screenshot({ path: out });
await b.close();
