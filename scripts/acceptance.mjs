// npm run acceptance: every property of the core at full size, the store under random schedules of delays, failures, other tabs and
// sudden ends, in full number, every press while late parts are still to come, every screen in every light, the journeys of the phone on
// a wide screen, and the benches that need a browser at their smallest. Every seed is printed; SEED=... runs one again. npm test runs a
// few of each.
import { spawnSync } from 'node:child_process';
import { ensureChromium, ensurePackages, quietEnv, root } from './ensure.mjs';

await ensurePackages();
const CHROMIUM = await ensureChromium();
const { build } = await import('./build.mjs');
await build();

const seed = process.env.SEED ?? String(Date.now() % 2 ** 31);
const env = {
  ...quietEnv,
  CHROMIUM,
  SEED: seed,
  FULL: '1',
  SCHEDULES: process.env.SCHEDULES ?? '10000',
  SCHEDULES_IN_BROWSER: process.env.SCHEDULES_IN_BROWSER ?? '300',
  KILLS: process.env.KILLS ?? '20',
};
console.log(
  `seed ${seed}: ${env.SCHEDULES} schedules over memory, ${env.SCHEDULES_IN_BROWSER} over IndexedDB, ${env.KILLS} killed pages`,
);
let failed = 0;
for (const args of [
  ['jest', 'src/data/store/acceptance', '--selectProjects', 'core'],
  // Every property, ten times as often as it says and from a seed of its own: npm test runs few, from fixed ones.
  ['jest', '--selectProjects', 'core', '--silent', '--testPathIgnorePatterns', 'src/data/store/acceptance'],
  ['playwright', 'test', 'store.spec.ts', 'late.spec.ts', 'access.spec.ts', '--project', 'phone'],
  ['playwright', 'test', '--project', 'wide'],
  ['tsx', 'bench/index.ts', '--smallest'],
]) {
  const { status } = spawnSync('npx', ['--no-install', ...args], { cwd: root, stdio: 'inherit', env });
  if (status !== 0) failed++;
}
console.log(
  failed === 0
    ? `\nseed ${seed}: nothing was lost`
    : `\nseed ${seed}: FAILED, run it again with SEED=${seed}`,
);
process.exit(failed === 0 ? 0 : 1);
