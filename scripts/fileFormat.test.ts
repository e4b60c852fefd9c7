import { readFileSync } from 'node:fs';
import { TABLES } from '../core/formats';
import { PAGE, withLists } from './fileFormat';

/** Without the spaces and dashes by which tables are drawn. */
const words = (page: string) => page.replace(/-{3,}/g, '---').replace(/\s+/g, ' ');

test('the lists in docs/file-format.md are those of the code', () => {
  const page = readFileSync(PAGE, 'utf8');
  // A difference means: npx tsx scripts/fileFormat.ts && npx prettier --write docs/file-format.md
  expect(words(page)).toBe(words(withLists(page)));
});

test('every table but the dictionary itself stands there with its columns', () => {
  const page = readFileSync(PAGE, 'utf8');
  for (const table of TABLES) if (table !== 'dictionary') expect(page).toContain(`- **${table}**: `);
});
