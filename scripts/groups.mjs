// Puts the unit tests of one room into one file each, so that what they stand on is loaded once for all of them: loading it takes most
// files longer than their tests do. Run by themselves (`npx jest core/sky`) they are as they stand.
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { root } from './ensure.mjs';

export const groupsFolder = join(root, 'test-reports/groups');
const ROOMS = ['core', 'src', 'server', 'scripts'];
/** These change what others see, or count what is loaded: they stay alone. */
const ALONE = /jest\.(mock|useFakeTimers|spyOn)|everyRemembered|process\.env|globalThis/;
/** Longer ones would leave one of two workers idle at the end. */
const MOST = 8;

export function writeGroups() {
  rmSync(groupsFolder, { recursive: true, force: true });
  mkdirSync(groupsFolder, { recursive: true });
  const groups = new Map();
  for (const room of ROOMS)
    for (const file of readdirSync(join(root, room), { recursive: true })) {
      if (!file.endsWith('.test.ts')) continue;
      const path = join(root, room, file);
      const folder = relative(root, dirname(path));
      const name = ALONE.test(readFileSync(path, 'utf8')) ? relative(root, path) : folder;
      groups.set(name, [...(groups.get(name) ?? []), path]);
    }
  for (const [name, files] of groups)
    for (let at = 0; at < files.length; at += MOST) {
      const some = files.sort().slice(at, at + MOST);
      const text = some
        .map(
          (path) =>
            `describe(${JSON.stringify(relative(root, path))}, () => void require(${JSON.stringify(path)}));\n`,
        )
        .join('');
      writeFileSync(join(groupsFolder, `${name.replaceAll('/', '-')}-${at / MOST + 1}.test.js`), text);
    }
}

if (process.argv[1]?.endsWith('groups.mjs')) writeGroups();
