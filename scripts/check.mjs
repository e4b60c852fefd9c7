// npm run check: what can be told within a minute. Types, lint and formatting of what changed, and the unit tests of its rooms.
import { execFileSync, spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ensurePackages, quietEnv, root } from './ensure.mjs';

await ensurePackages();
const started = Date.now();
const git = (...args) =>
  execFileSync('git', args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean);
let files = [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
// With everything committed, what changed is the last commit.
if (files.length === 0) files = git('diff', '--name-only', 'HEAD~1');
files = files.filter((file) => existsSync(join(root, file)));
const code = files.filter((file) => /\.(m?js|tsx?)$/.test(file));
const rooms = [...new Set(code.filter((file) => /^(core|src|server)\//.test(file)).map(dirname))];

const steps = [
  [
    'types',
    'tsc',
    ['--noEmit', '--incremental', '--tsBuildInfoFile', 'node_modules/.cache/check.tsbuildinfo'],
  ],
  ['lint', 'eslint', ['--max-warnings', '0', ...code], code],
  ['formatting', 'prettier', ['--check', '--log-level', 'warn', '--ignore-unknown', ...files], files],
  // By room, and not by what depends on it: everything depends on the core in the end, and all of it takes minutes.
  ['tests', 'jest', ['--silent', '--passWithNoTests', ...rooms.map((room) => `${room}/[^/]*test`)], rooms],
];

function step([name, command, args]) {
  return new Promise((resolve) => {
    let said = '';
    const child = spawn('npx', ['--no-install', command, ...args], { cwd: root, env: quietEnv });
    child.stdout.on('data', (text) => (said += text));
    child.stderr.on('data', (text) => (said += text));
    child.on('close', (code) => {
      if (code !== 0) console.log(said);
      console.log(`${code === 0 ? 'good' : 'BAD '}  ${name}`);
      resolve(code === 0);
    });
  });
}

const results = await Promise.all(steps.filter(([, , , on]) => !on || on.length > 0).map(step));
const good = results.filter(Boolean).length;
console.log(
  `\n${files.length} files changed, ${rooms.length} rooms; ${((Date.now() - started) / 1000).toFixed(0)} s`,
);
console.log(`${good} passed, ${results.length - good} failed`);
process.exit(good === results.length ? 0 : 1);
