import { purityHtml, type PuritySheet } from './purityHtml';

const SHEET: PuritySheet = {
  variety: 'Slate <Dome>',
  over: 'Weir garden · worked in 2026',
  summary: ['Fair: that of its weakest fruit.'],
  links: ['Shut before it opened', 'Whole at dawn', 'Marked at once'],
  fruits: [
    {
      mark: 'F2-Y',
      place: 'Slate Dome 1, node 9',
      grade: 'fair',
      states: ['seen', 'not-recorded', 'broken'],
      foreign: '0 to 3 %',
    },
  ],
};
const cells = (html: string) =>
  [...(html.split('<tbody>')[1] ?? '').matchAll(/aria-label="([^"]+)"/g)].map(([, words]) => words);

test('each fruit has a cell for each link, in the order of the chain, and each link its number and name', () => {
  const html = purityHtml(SHEET, 'A4');
  expect(cells(html)).toEqual(['seen', 'not recorded', 'broken']);
  expect(html).toContain('<li>Shut before it opened</li><li>Whole at dawn</li><li>Marked at once</li>');
  expect(html).toContain('<th class="c">3</th>');
});

test('names are written, not run; without fruits the sheet has no line', () => {
  const html = purityHtml({ ...SHEET, fruits: [] }, 'Letter');
  expect(html).toContain('Slate &lt;Dome&gt;');
  expect(html).not.toContain('<Dome>');
  expect(cells(html)).toEqual([]);
  expect(html).toContain('size:Letter');
});
