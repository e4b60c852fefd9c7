import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import ICAL from 'ical.js';
import { addStand, beginPatch, openDemo, pickMales, setTime, today } from './helpers';

test('from a goal to tonight, to the dawn with a torn closure and a missing male, to the end', async ({
  page,
}) => {
  await openDemo(page);
  await test.step('the goal is a sum that can be bent', async () => {
    await page.getByRole('button', { name: 'All goals' }).click();
    await page.getByRole('button', { name: "Open the goal of Ferryman's Lamp" }).click();
    await expect(page.getByRole('heading', { name: 'The sum', exact: true })).toBeVisible();
    await page.getByLabel('Seed wanted (leave empty for none)').fill('9x');
    await expect(page.getByText('The seed must be a number from 0.1 to 10000000')).toBeVisible();
    await page.getByRole('button', { name: 'Keep this goal' }).click();
    await expect(page.getByLabel('Seed wanted (leave empty for none)')).toBeFocused();
    await page.getByLabel('Seed wanted (leave empty for none)').fill('4000');
    await page.getByLabel('Seeds in a good fruit (empty: the usual)').fill('250');
    await expect(page.getByText('250 seeds in one (your number)')).toBeVisible();
    await page.getByRole('button', { name: 'Keep this goal' }).click();
    await expect(page.getByText('4000 seeds (16 fruits)')).toBeVisible();
    await today(page);
  });
  await test.step('the round: collecting, one male missing, one closure torn', async () => {
    await page.getByRole('button', { name: 'Start the 05:05 round' }).click();
    await expect(page.getByRole('heading', { name: /^Collect \d+ males?$/ })).toBeVisible();
    await page
      .getByRole('button', { name: /is missing$/ })
      .first()
      .click();
    await expect(page.getByText(/^Last: closure of .* gone|^Last:/)).toBeVisible();
    await pickMales(page);
    await page.getByRole('button', { name: 'torn', exact: true }).click();
    await page.getByRole('button', { name: 'Skip it' }).last().click();
    await expect(page.getByText(/^Stop 2 of 11|^Collect/).first()).toBeVisible();
  });
  await test.step('a bee got in: not for seed, no mark', async () => {
    await pickMales(page);
    await page.getByRole('button', { name: 'whole', exact: true }).click();
    await page.getByRole('button', { name: 'Not quite so: say how it went' }).click();
    await page.getByRole('button', { name: 'a bee got in' }).click();
    await expect(page.getByText(/A bee brings pollen from anywhere/)).toBeVisible();
    await page.getByRole('button', { name: 'no', exact: true }).click();
    await page.getByRole('button', { name: /^Pollinated: / }).click();
  });
  await test.step('the rest of the round, each as the demo shows it', async () => {
    for (let i = 0; i < 30; i++) {
      await pickMales(page);
      if (await page.getByRole('heading', { name: 'The round is done' }).isVisible()) break;
      const seen = page.getByText(/^In the demo patch you see/);
      await expect(
        seen.or(page.getByRole('heading', { name: /^Collect|The round is done/ })).first(),
      ).toBeVisible();
      if (!(await seen.isVisible())) continue;
      const later = (await page.getByText(/open from about|come back/).count()) > 0;
      const word = /is ([a-z ]+)\.$/.exec((await seen.textContent()) ?? '')?.[1] ?? 'whole';
      await page
        .getByRole('button', { name: later && word === 'whole' ? 'whole' : word, exact: true })
        .click();
      if (word === 'whole') {
        const done = page.getByRole('button', { name: /^Pollinated: / });
        if (await done.isEnabled()) await done.click();
        else {
          await page.getByRole('button', { name: 'torn', exact: true }).click();
          await page.getByRole('button', { name: 'Skip it' }).last().click();
        }
      } else if (word === 'gone') await page.getByRole('button', { name: 'can’t tell' }).click();
      else
        await page
          .getByRole('button', { name: /^(Skip it|Come back to it .*)$/ })
          .last()
          .click();
    }
    await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
  });
});

test('kitchen: tomatoes vibrated and strawberries brushed, counted by truss', async ({ page }) => {
  await setTime(page, '2026-07-14T10:00:00.000Z');
  await beginPatch(page);
  await addStand(page, 'tomato', 'Tallow Bead', 'Fruit', 1);
  await addStand(page, 'strawberry', 'Sluice Red', 'Fruit', 1);
  await today(page);
  await page.getByRole('button', { name: 'Open: Kitchen round' }).click();
  await page.getByRole('button', { name: 'Truss (may be left out): one more' }).first().click();
  await page.getByRole('button', { name: '5 flowers worked on Tallow Bead 1' }).click();
  await page.getByRole('button', { name: '3 flowers worked on Tallow Bead 1' }).click();
  await expect(page.getByLabel('8 flowers today on Tallow Bead 1')).toBeVisible();
  await page.getByRole('button', { name: 'Brush: start 3 seconds' }).click();
  await expect(page.getByRole('button', { name: /seconds left/ })).toBeVisible();
  await page.getByRole('button', { name: '1 flower worked on Sluice Red 1' }).click();
  await expect(page.getByLabel('1 flower today on Sluice Red 1')).toBeVisible();
});

test('a printed card is entered back; what cannot be read is named and stays', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Round card on paper' }).click();
  const card = page.frameLocator('iframe');
  await expect(card.getByRole('heading', { name: 'Dawn round, Tuesday 14 July' })).toBeVisible();
  await expect(card.getByText(/node/).first()).toBeVisible();
  await page.getByRole('button', { name: 'narrow strip' }).click();
  await expect(card.getByRole('heading', { name: 'Dawn round, Tuesday 14 July' })).toBeVisible();
  await page.getByRole('button', { name: 'Enter a filled-in card' }).click();
  await page.getByLabel(/^Type lines as pencilled/).fill('1 W 2 T x\n2 T\n99 W\n3 Q');
  await page.getByRole('button', { name: 'Read these lines' }).click();
  await expect(page.getByText('Line: "99" is not a line of this card (1 to 11).')).toBeVisible();
  await expect(page.getByText(/Found: "Q" is not one of W, T/)).toBeVisible();
  await expect(page.getByLabel(/^Type lines as pencilled/)).toHaveValue('99 W\n3 Q');
  await page.getByRole('button', { name: 'Line 3: gone' }).click();
  await page.getByRole('button', { name: 'Keep 3 lines' }).click();
  await expect(page.getByText('3 lines entered.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Line 4: whole' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Line 1: whole' })).toBeHidden();
});

test('the calendar file is read by an independent reader, and keeps its uids', async ({ page }) => {
  await openDemo(page);
  const save = async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save rounds and looks as a calendar file' }).click(),
    ]);
    const text = readFileSync(await download.path(), 'utf8');
    return new ICAL.Component(ICAL.parse(text) as never)
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each));
  };
  const badge =
    (await page
      .getByText(/^start by \d\d:\d\d$/)
      .first()
      .textContent()) ?? '';
  const first = await save();
  const again = await save();
  expect(first.length).toBeGreaterThan(3);
  expect(again.map(({ uid }) => uid)).toEqual(first.map(({ uid }) => uid));
  const dawn = first.find(({ summary }) => summary.startsWith('Dawn round'));
  // The patch's clock is two hours before UTC in July.
  const [hour = 0, minute = 0] = badge.replace('start by ', '').split(':').map(Number);
  expect(dawn?.startDate.toJSDate().getTime()).toBe(Date.UTC(2026, 6, 14, hour - 2, minute));
});

test('weather: by hand, from a file with its columns put right, and bad input named', async ({ page }) => {
  await setTime(page, '2026-07-14T10:00:00.000Z');
  await beginPatch(page);
  await expect(page.getByText('usual for here; nobody measured')).toBeVisible();
  await page.getByRole('button', { name: 'Weather', exact: true }).click();
  await page.getByLabel('Coldest, °C').fill('22');
  await page.getByLabel('Warmest, °C').fill('12');
  await page.getByRole('button', { name: 'Note the weather of today' }).click();
  await expect(page.getByText('The warmest lies below the coldest')).toBeVisible();
  await page.getByLabel('Warmest, °C').fill('34,5');
  await page.getByRole('button', { name: 'Note the weather of today' }).click();
  await expect(page.getByLabel('Warmest, °C')).toHaveValue('');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Open a weather file' }).click(),
  ]);
  await chooser.setFiles({
    name: 'days.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'date,precipitation,temp_max,temp_min,wind\n2026-07-12,3.2,21.1,14,2\n2026-07-13,x,25,16,2\n2026/7/11,0,26,15,2\n',
    ),
  });
  await expect(
    page.getByText(
      /2 days, from 2026-07-12 .*Passed over: 1 line, the first line 3: precipitation: "x" is not a number/,
    ),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep 2 days' }).click();
  await expect(page.getByText('2 days kept.')).toBeVisible();
  await today(page);
  await expect(page.getByText('22 to 35 °C')).toBeVisible();
  await expect(page.getByText('noted by hand')).toBeVisible();
});
