import puppeteer from 'puppeteer-core';
const [out, path, size='1280x800', acts='[]', touch] = process.argv.slice(2);
const [w,h]=size!.split('x').map(Number);
const b = await puppeteer.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-dev-shm-usage',...(process.env.GL?['--use-angle=swiftshader','--enable-unsafe-swiftshader']:['--disable-gpu'])]});
const p = await b.newPage(); await p.setViewport({width:w!,height:h!,hasTouch:!!touch,isMobile:!!touch});
p.on('console',m=>{ if(m.type()==='error'||m.type()==='warn') console.log('console',m.type(),m.text()); }); p.on('pageerror',e=>console.log('pageerror',String(e)));
await p.goto('http://127.0.0.1:5199'+path); await new Promise(r=>setTimeout(r,2500));
for(const a of JSON.parse(acts!)){ if(a.click) await p.click(a.click); if(a.wait) await new Promise(r=>setTimeout(r,a.wait)); if(a.eval) console.log(JSON.stringify(await p.evaluate(a.eval))); if(a.key) await p.keyboard.press(a.key); if(a.type) await p.keyboard.type(a.type); if(a.scroll) await p.evaluate((s:string)=>document.querySelector(s)?.scrollIntoView(),a.scroll);}
await p.screenshot({path:out!}); await b.close();
