import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '..');
const rows = readFileSync(join(ROOT, 'docs/cautions.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('|') && !/^\|( words|[ -]*-)/.test(line))
  .map((line) => line.split('|').map((cell) => cell.trim()))
  .map(([, words = '', file = '']) => [words, file] as const);

test('the list of cautions is there', () => expect(rows.length).toBeGreaterThan(12));

test.each(rows)('"%s" stands in %s', (words, file) => {
  // Words may run over a line's end in the code.
  const text = readFileSync(join(ROOT, file), 'utf8').replace(/\s+/g, ' ');
  expect(text).toContain(words);
});
