import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { SCREEN_KEYS } from './screenKeys';

test('every screen under app is known to the router, and none that is not there; those of the first load apart', () => {
  const files = readdirSync(join(__dirname, 'app'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.tsx') && !file.includes('.test.'))
    .map((file) => `./${file}`)
    .filter((key) => !['./_layout.tsx', './index.tsx', './demo.tsx'].includes(key));
  expect([...SCREEN_KEYS]).toEqual(files.sort());
});
