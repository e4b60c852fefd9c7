// Puts in place what a fresh machine lacks, and says so. Plain Node: runs before anything is installed.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const quietEnv = {
  ...process.env,
  EXPO_OFFLINE: '1',
  EXPO_NO_TELEMETRY: '1',
  CI: '1',
  DO_NOT_TRACK: '1',
};

/** Runs a command in the project, its output shown; exits with its code if it fails. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (status !== 0) process.exit(status ?? 1);
}

export function ensurePackages() {
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
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, wanted);
}

/** Path of a Chromium; installs Debian's when there is none. */
export function ensureChromium() {
  const places = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'];
  const found = places.find((place) => place && existsSync(place));
  if (found) return found;
  console.log("No Chromium here: installing Debian's package for the interface tests ...");
  const prefix = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...prefix, 'apt-get', ...args];
    execFileSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  try {
    apt('update', '-qq');
    apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
  } catch (error) {
    console.error(
      `Could not install Chromium (${error.message}). Install it by hand, or point CHROMIUM at one.`,
    );
    process.exit(1);
  }
  return '/usr/bin/chromium';
}
