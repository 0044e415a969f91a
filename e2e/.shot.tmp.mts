import puppeteer from 'puppeteer-core';
const [out, path, size = '1280x800', acts = '[]', touch] = process.argv.slice(2) as string[];
const [w, h] = size.split('x').map(Number) as [number, number];
const b = await puppeteer.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', process.env.GL ? '--enable-unsafe-swiftshader' : '--disable-gpu', ...(process.env.GL ? ['--use-gl=angle','--use-angle=swiftshader'] : [])] });
const p = await b.newPage();
await p.setViewport({ width: w, height: h, ...(touch ? { hasTouch: true, isMobile: true } : {}) });
p.on('pageerror', (e) => console.log('PAGEERROR', String(e)));
p.on('console', (l) => l.type() === 'error' && console.log('CONSOLE', l.text()));
await p.goto(`http://localhost:${process.env.P ?? 5199}${path}`);
await new Promise((r) => setTimeout(r, 2500));
for (const act of JSON.parse(acts)) {
  if (act.click) await p.locator(act.click).setTimeout(8000).click();
  if (act.hover) await p.locator(act.hover).setTimeout(8000).hover();
  if (act.type) await p.keyboard.type(act.type);
  if (act.key) await p.keyboard.press(act.key);
  if (act.wait) await new Promise((r) => setTimeout(r, act.wait));
  if (act.eval) console.log(await p.evaluate(act.eval));
}
await new Promise((r) => setTimeout(r, 500));
await p.screenshot({ path: out as `${string}.png` });
await b.close();
