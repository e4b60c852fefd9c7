// npm test: lint, formatting, types, unit, component and interface tests. Ends with "N passed, N failed".
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { groupsFolder, writeGroups } from './groups.mjs';
import { ensureChromium, ensurePackages, quietEnv, root, wholeChromium } from './ensure.mjs';

await ensurePackages();
const wantedChromium = ensureChromium();
const { build } = await import('./build.mjs');

const reports = join(root, 'test-reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
writeGroups();
const total = { passed: 0, failed: 0 };

/** Runs a step. Where another runs beside it, what it says comes in one piece when it is over. */
function step(name, args, { env = {}, alone = false } = {}) {
  return new Promise((resolve) => {
    if (alone) console.log(`\n== ${name}`);
    const child = spawn('npx', ['--no-install', ...args], {
      cwd: root,
      env: { ...quietEnv, ...env },
      stdio: alone ? 'inherit' : ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    for (const stream of alone ? [] : [child.stdout, child.stderr])
      stream.on('data', (text) => (said += text));
    child.on('close', (code) => {
      if (!alone) console.log(`\n== ${name}\n${said}`);
      resolve(code === 0);
    });
  });
}
async function check(name, args) {
  if (await step(name, args)) total.passed++;
  else total.failed++;
}
function count(ok, read) {
  try {
    const { passed, failed } = read();
    total.passed += passed;
    // A runner that fails without a failing test (a file that does not load) still is a failure.
    total.failed += failed > 0 ? failed : ok ? 0 : 1;
  } catch (error) {
    console.error(`No report: ${error.message}`);
    total.failed++;
  }
}
async function jest(project, env = {}) {
  const file = join(reports, `${project}.json`);
  const args = ['jest', '--selectProjects', project, '--json', `--outputFile=${file}`, '--silent'];
  const ok = await step(`tests: ${project}`, args, { env });
  count(ok, () => {
    const report = JSON.parse(readFileSync(file, 'utf8'));
    return { passed: report.numPassedTests, failed: report.numFailedTests };
  });
}

// Two at a time, the longest first: each of these keeps one core busy. The journeys need both, and come alone.
const built = build();
const waiting = [
  () => built,
  () => jest('core', { TEST_GROUPS: groupsFolder }),
  () => jest('ui'),
  () => check('lint', ['eslint', '.', '--max-warnings', '0']),
  () => check('benches at their smallest size', ['tsx', 'bench/index.ts', '--smallest', '--core']),
  // The router writes down the addresses of the screens while it is built.
  () => built.then(() => check('types', ['tsc', '--noEmit'])),
  () => check('no circles of files', ['npm', 'run', '--silent', 'circles']),
  () => check('formatting', ['prettier', '--check', '--log-level', 'warn', '.']),
];
async function lane() {
  for (let next = waiting.shift(); next; next = waiting.shift()) await next();
}
await Promise.all([lane(), lane()]);
const chromium = await wantedChromium;
// Beside the others: the journeys empty their own folder when they begin.
const e2e = join(reports, 'e2e.json');
const ok = await step('interface tests in Chromium', ['playwright', 'test'], {
  env: { E2E_JSON: e2e, CHROMIUM: chromium, CHROMIUM_WHOLE: await wholeChromium() },
  alone: true,
});
count(ok, () => {
  const { stats, suites } = JSON.parse(readFileSync(e2e, 'utf8'));
  const specs = suites.flatMap(function within(suite) {
    return [...suite.specs, ...(suite.suites ?? []).flatMap(within)];
  });
  for (const { file, title, tests } of specs)
    if (tests.some(({ status }) => status === 'flaky'))
      console.log(`\nCame right only at its second try, and wants looking into: ${file}: ${title}`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
});

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
