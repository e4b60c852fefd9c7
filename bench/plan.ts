import type { CDPSession, Page } from '@playwright/test';
import { CROP_IDS } from '../core/crops';
import { isolations } from '../core/isolation';
import { whatIf, type Draft } from '../core/ledger';
import { moveBy } from '../core/patch';
import { TestGarden } from '../core/testGarden';
import { takeOver } from '../e2e/helpers';
import { withBrowser } from './served';

const DAY = '2026-07-10';
const PORT = 8396;
/** Frames over which an idle page and a dragging hand are compared. */
const FRAMES = 90;

/** A patch as large as the plan has to bear: so many stands of five plants, neighbours at all bearings, and ten hedges. */
function largePatch(stands: number, neighbours: number): TestGarden {
  const garden = new TestGarden();
  const crops = CROP_IDS.filter((crop) => crop !== 'strawberry' && crop !== 'potato');
  for (let i = 0; i < stands; i++)
    garden.plant(crops[i % crops.length] as (typeof crops)[number], `Variety ${i}`, 5, {
      reason: i % 2 === 0 ? 'seed' : 'fruit',
    });
  for (let i = 0; i < neighbours; i++)
    garden.nextDoor({
      crop: crops[i % crops.length] as (typeof crops)[number],
      plants: 5,
      distanceM: 20 + 15 * i,
      bearingDeg: (i * 47) % 360,
    });
  for (let i = 0; i < 10; i++)
    garden.obstacle('hedge', [
      [-20, 30 * i],
      [60, 30 * i + 4],
    ]);
  return garden;
}

/** Prints how long all answers of isolation take anew after a stand was moved. */
export function benchIsolation(stands: number, neighbours: number): void {
  const garden = largePatch(stands, neighbours);
  const [stand] = [...garden.state.stands.keys()];
  const times: number[] = [];
  for (let i = 1; i <= 12; i++) {
    const draft = moveBy(garden.state, { kind: 'stand', id: stand as string }, [i, 0]) as Draft;
    const start = performance.now();
    isolations(whatIf(garden.state, draft), DAY);
    times.push(performance.now() - start);
  }
  const middle = [...times].sort((a, b) => a - b)[6] as number;
  console.log(
    `plan of ${garden.state.plants.size} plants, ${stands} stands, ${neighbours} neighbours: all answers anew in ${middle.toFixed(0)} ms (wanted under 50)`,
  );
}

/** Prints what dragging on the plan costs beside the idle page. */
export async function benchPlan(stands: number, neighbours: number): Promise<void> {
  const garden = largePatch(stands, neighbours);
  await withBrowser(PORT, async (browser) => {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      baseURL: `http://127.0.0.1:${PORT}`,
    });
    page.setDefaultTimeout(60_000);
    await page.addInitScript((now) => (Date.now = () => now), Date.parse(`${DAY}T06:00:00Z`));
    await takeOver(page, garden);
    await page.getByRole('link', { name: 'Patch' }).click();
    await page.getByRole('button', { name: 'Plan', exact: true }).waitFor();
    await page.waitForTimeout(2000);
    await dragging(page);
  });
}

async function dragging(page: Page): Promise<void> {
  const open = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const start = performance.now();
        const watch = new MutationObserver(() => {
          if (!document.querySelector('#plan-ground circle')) return;
          watch.disconnect();
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start), 0));
        });
        watch.observe(document.body, { subtree: true, childList: true });
        document.querySelector<HTMLElement>('[aria-label="Plan"]')?.click();
      }),
  );
  await page.locator('[id^="thing-stand/"]').first().locator('circle').first().click({ force: true });
  await page.getByRole('button', { name: 'Let go of Variety 0' }).waitFor();
  await page.waitForTimeout(1500);
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  const idle = await cpu(session, () => frames(page));
  const box = await page.locator('[id^="thing-stand/"]').first().locator('circle').first().boundingBox();
  if (!box) throw new Error('nothing to drag');
  const hand = () => moves(page, box.x + 2, box.y + 2);
  await page.mouse.move(box.x + 2, box.y + 2);
  const bare = await cpu(session, hand);
  await page.mouse.move(box.x + 2, box.y + 2);
  await page.mouse.down();
  const drag = await cpu(session, hand);
  await page.mouse.up();
  await page.keyboard.press('Escape');
  await page.evaluate(DOT);
  const dot = await cpu(session, hand);
  console.log(
    `  the plan is drawn in ${open.toFixed(0)} ms (wanted under 300); a move of the mouse takes ${drag.toFixed(1)} ms of work while dragging, ${dot.toFixed(1)} ms where it drags an empty dot: ${(drag / dot).toFixed(2)} times (wanted under 1.3); ${bare.toFixed(1)} ms where nothing on the page moves; an idle frame ${idle.toFixed(1)} ms`,
  );
}

/** A dot that follows the mouse: what a frame costs the browser when anything moves at all. */
const DOT = `{
  const dot = document.createElement('div');
  dot.style.cssText = 'position:fixed;left:0;top:0;width:4px;height:4px;will-change:transform;pointer-events:none;background:red';
  document.body.append(dot);
  addEventListener('mousemove', ({ clientX, clientY }) => {
    dot.style.transform = 'translate3d(' + clientX + 'px,' + clientY + 'px,0)';
  });
}`;

/** Moves the mouse by so many steps, as a hand would. */
async function moves(page: Page, x: number, y: number): Promise<void> {
  for (let i = 0; i < FRAMES; i++) {
    await page.mouse.move(x + i, y + (i % 7));
    await page.waitForTimeout(8);
  }
}

/** As text: a named function would be wrapped on its way into the page. */
const frames = (page: Page) =>
  page.evaluate(
    `new Promise((resolve) => { let left = ${FRAMES}; const step = () => (left-- > 0 ? requestAnimationFrame(step) : resolve()); step(); })`,
  );

/** Milliseconds of work of the page's main thread for each frame. */
async function cpu(session: CDPSession, work: () => Promise<unknown>): Promise<number> {
  const task = async () =>
    ((await session.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'TaskDuration')
      ?.value ?? 0) * 1000;
  const before = await task();
  await work();
  return ((await task()) - before) / FRAMES;
}
