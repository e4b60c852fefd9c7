import fc from 'fast-check';
import { labelHtml } from '.';
import { escapeHtml } from './html';

const label = {
  mark: '3-K',
  parents: 'Tallow Horn × Lock Flame',
  what: 'pepper, cross (F1), mother × father',
  plant: 'Tallow Horn 1',
  date: 'Sunday 12 July',
  by: 'Oda',
  caution: null,
};

test('a label says that its fruit is seed, whose it is, and when', () => {
  const html = labelHtml([label]);
  for (const words of ['SEED: do not pick', '3-K', 'Tallow Horn × Lock Flame', 'Sunday 12 July', 'Oda'])
    expect(html).toContain(words);
  expect(html).not.toContain('class="small"');
  expect(labelHtml([{ ...label, caution: 'Poisonous.' }])).toContain('Poisonous.');
  expect(labelHtml([label, label]).match(/<section>/g)).toHaveLength(2);
});

test('whatever a name holds, no markup of it comes into the page', () => {
  expect(labelHtml([{ ...label, plant: '<img src=x onerror=alert(1)>' }])).not.toContain('<img');
  fc.assert(
    fc.property(fc.string(), (text) => {
      expect(escapeHtml(text)).not.toMatch(/[<>"']/);
      const back = escapeHtml(text)
        .replaceAll('&lt;', '<')
        .replaceAll('&gt;', '>')
        .replaceAll('&quot;', '"')
        .replaceAll('&#39;', "'")
        .replaceAll('&amp;', '&');
      expect(back).toBe(text);
    }),
  );
});
