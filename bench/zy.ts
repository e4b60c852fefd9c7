import { withBrowser } from './served';
import { writeFileSync, readFileSync, existsSync } from 'node:fs';
import * as O from './opening';
const size = Number(process.argv[2]); const rate = Number(process.argv[3] ?? 1);
void withBrowser(8394, async (browser) => {
  const contents = await (O as any).keptAt(size);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, timezoneId: 'Europe/Ljubljana', locale: 'en-GB' });
  const page = await context.newPage();
  await page.addInitScript((now) => { Date.now = () => now; }, Date.parse('2026-07-14T03:05:00Z'));await page.addInitScript((O as any).WATCH);
  await (O as any).fill(page, contents);
  await (O as any).opening(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.waitForTimeout(4000);
  await (O as any).opening(page); await page.waitForTimeout(2000);
  const session = await context.newCDPSession(page);
  if (rate > 1) { await session.send('Emulation.setCPUThrottlingRate', { rate }); }
  await page.addInitScript(`window.__t=[];new PerformanceObserver(function(l){l.getEntries().forEach(function(e){__t.push(['longtask',e.startTime|0,e.duration|0])})}).observe({type:'longtask',buffered:true});var seen={};requestAnimationFrame(function f(){var h=document.querySelector('h1,[role=heading]');var k=(h?h.textContent:'')+'|'+(document.body?document.body.innerText.length:0);if(!seen[k]){seen[k]=1;__t.push(['seen '+k,performance.now()|0])}requestAnimationFrame(f)});`);
  await browser.startTracing(page, { path: '/tmp/trace.json', categories: ['devtools.timeline', 'v8.execute', 'disabled-by-default-v8.cpu_profiler', 'blink.user_timing', 'loading'] } as any).catch(() => {});
  const r = await (O as any).opening(page);
  await page.waitForTimeout(3000);
  await browser.stopTracing().catch(() => {});
  console.log(r);
  console.log((await page.evaluate(() => (window as any).__t)).map((x: any) => x.join(' ')).join('\n'));
  console.log(await page.evaluate(() => performance.getEntriesByType('resource').map((e: any) => `${e.name.replace(location.origin, '').slice(-40)} ${e.startTime.toFixed(0)} ${e.duration.toFixed(0)}`).join('\n')));
  console.log(await page.evaluate(() => { const n = performance.getEntriesByType('navigation')[0] as any; return JSON.stringify({ resp: n.responseStart, dcl: n.domContentLoadedEventEnd, load: n.loadEventEnd }); }));
});
