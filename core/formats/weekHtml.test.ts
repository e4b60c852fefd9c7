import { weekHtml, type WeekSheet } from '.';

const sheet = (more: Partial<WeekSheet> = {}): WeekSheet => ({
  patch: 'Hollin Terraces',
  days: '8 to 14 July 2026',
  counts: [
    [92, 'flowers worked'],
    [15, 'lost'],
  ],
  varieties: [['Slate Dome', '14', '0', '1', '13']],
  lost: [['poorly pollinated', '8']],
  ahead: [['Wednesday 15 July', '20']],
  ...more,
});

test('a week says its days, its counts, and a table for each thing there is', () => {
  const html = weekHtml(sheet());
  expect(html).toMatch(/^<!doctype html>/);
  for (const words of [
    'Hollin Terraces',
    '8 to 14 July 2026',
    '<b>92</b>flowers worked',
    'Slate Dome',
    'Lost this week',
  ])
    expect(html).toContain(words);
  expect(html.match(/<table>/g)).toHaveLength(3);
  expect(html.match(/<td>/g)).toHaveLength(5 + 2 + 2);
});

test('a quiet week has no empty tables', () => {
  const html = weekHtml(sheet({ varieties: [], lost: [], ahead: [] }));
  expect(html).not.toContain('<table>');
  expect(html).not.toContain('Lost this week');
});

test('a name with markup stays a name', () => {
  const html = weekHtml(
    sheet({ patch: '<script>alert(1)</script>', varieties: [['<b>&"Bead"</b>', '1', '1', '0', '0']] }),
  );
  expect(html).not.toContain('<script>');
  expect(html).toContain('&lt;script&gt;alert(1)&lt;/script&gt;');
  expect(html).toContain('&lt;b&gt;&amp;&quot;Bead&quot;&lt;/b&gt;');
});
