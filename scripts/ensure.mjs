// Puts in place what a fresh machine lacks, and says so. Plain Node: runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const quietEnv = {
  ...process.env,
  EXPO_OFFLINE: '1',
  EXPO_NO_TELEMETRY: '1',
  CI: '1',
  DO_NOT_TRACK: '1',
  // Compilers make much that is gone at once: with more room for it an eighth of the time is no longer spent on clearing it away.
  NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim(),
};

/** Runs a command in the project, its output shown; exits with its code if it fails. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (status !== 0) process.exit(status ?? 1);
}

export async function ensurePackages() {
  if (Number(process.versions.node.split('.')[0]) < 20) {
    console.error(`Steady Trowel needs Node 20 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const stamp = join(root, 'node_modules', '.steady-trowel');
  const wanted = createHash('sha1')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing the packages of package-lock.json (once; about two minutes) ...');
  const folder = join(root, 'node_modules');
  const there = () => (existsSync(folder) ? readdirSync(folder).length : 0);
  await saying(
    () => `installing packages: ${there()} of some 920 folders`,
    () => running('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']),
  );
  writeFileSync(stamp, wanted);
}

/** `run` that does not hold up what is said meanwhile. */
export function running(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
    child.on('close', (code) => (code === 0 ? resolve() : process.exit(code ?? 1)));
  });
}

/** How long a package manager that is busy is waited for: a fresh Debian often updates itself first. */
const BUSY_S = 300;

/** Debian's headless Chromium: it draws no window of its own and takes half the work of the whole browser. */
const SHELL = 'chromium-headless-shell';
/** The whole browser: for a journey by camera, whose pictures the other does not hand on. */
const WHOLE = 'chromium';

/** Path of a Chromium to test in; installs Debian's when there is none. Where only the whole browser can be had, that serves. */
export async function ensureChromium() {
  const given = process.env.CHROMIUM;
  return given && existsSync(given) ? given : browser(SHELL, await wholeChromium());
}

/** Path of the whole browser; installs Debian's when there is none. */
export async function wholeChromium() {
  const given = process.env.CHROMIUM_WHOLE;
  return given && existsSync(given) ? given : browser(WHOLE, null);
}

async function browser(name, instead) {
  const path = `/usr/bin/${name}`;
  if (existsSync(path)) return path;
  console.log(`No ${name} here: installing Debian's package for the interface tests ...`);
  try {
    await apt('update', '-qq');
    await apt('install', '-y', '-qq', '--no-install-recommends', name);
    return path;
  } catch (error) {
    if (instead) {
      console.log(`Could not install it (${error.message}): the tests run in ${instead}, and take longer.`);
      return instead;
    }
    console.error(
      `Could not install it (${error.message}). Install it by hand, or point CHROMIUM_WHOLE at a Chromium.`,
    );
    process.exit(1);
  }
}

async function apt(...args) {
  const prefix = process.getuid?.() === 0 ? [] : ['sudo'];
  const [command, ...rest] = [...prefix, 'apt-get', '-o', `DPkg::Lock::Timeout=${BUSY_S}`, ...args];
  const until = Date.now() + BUSY_S * 1000;
  for (;;) {
    const { code, said } = await listening(command, rest);
    if (code === 0) return;
    // The lock of the lists is not among those that the option waits for.
    if (!/could not get lock|unable to lock/i.test(said) || Date.now() > until)
      throw new Error(said.trim().split('\n').at(-1) || `apt-get ended with ${code}`);
    console.log('The package manager is busy with something else; waiting for it, up to five minutes ...');
    await new Promise((resolve) => setTimeout(resolve, 10_000));
  }
}

/** Runs a command and says every ten seconds that it is still at work. */
function listening(command, args) {
  return saying(`${command} ${args.at(-1) ?? ''} is still at work`, () => {
    const child = spawn(command, args, {
      stdio: ['ignore', 'ignore', 'pipe'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    let said = '';
    child.stderr.on('data', (text) => (said += text));
    return new Promise((resolve) => {
      child.on('error', ({ message }) => resolve({ code: 1, said: message }));
      child.on('close', (code) => resolve({ code, said }));
    });
  });
}

/** Says so every ten seconds while something takes its time: `what`, or what it gives, and for how long already. */
export async function saying(what, work) {
  const started = Date.now();
  const timer = setInterval(() => {
    const seconds = Math.round((Date.now() - started) / 1000);
    console.log(`... ${typeof what === 'function' ? what() : what} (${seconds} s)`);
  }, 10_000);
  try {
    return await work();
  } finally {
    clearInterval(timer);
  }
}
