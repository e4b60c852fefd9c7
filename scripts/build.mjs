// Builds the production app into dist/, unless what is there was built from the same sources.
import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { basename, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';
import { ensurePackages, quietEnv, root, run, running, saying } from './ensure.mjs';

const SOURCES = [
  'core',
  'src',
  'public',
  'scripts/build.mjs',
  'scripts/demoLog.ts',
  'scripts/firstPage.ts',
  'scripts/barrels.cjs',
  'scripts/minifier.cjs',
  'scripts/routerStub.js',
  'scripts/routerNative.js',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'package-lock.json',
  'tsconfig.json',
];
const FONTS = join(root, 'node_modules/@fontsource/atkinson-hyperlegible-next');

function filesUnder(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path).flatMap((name) => filesUnder(join(path, name)));
}

function sourceHash() {
  const hash = createHash('sha1');
  for (const file of SOURCES.flatMap((each) => filesUnder(join(root, each))).sort()) {
    if (/\.test\.tsx?$/.test(file) || /\/public\/(fonts|demo)\//.test(file)) continue;
    hash.update(file.slice(root.length)).update(readFileSync(file));
  }
  return hash.digest('hex');
}

/** Copies the four font files we use and writes the style sheet that names them. */
export function prepareFonts() {
  const { version } = JSON.parse(readFileSync(join(FONTS, 'package.json'), 'utf8'));
  const target = join(root, 'public/fonts');
  mkdirSync(target, { recursive: true });
  const faces = [];
  for (const weight of [400, 700]) {
    for (const subset of ['latin-ext', 'latin']) {
      const name = `atkinson-${subset}-${weight}-${version}.woff2`;
      cpSync(
        join(FONTS, `files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff2`),
        join(target, name),
      );
      const range =
        subset === 'latin'
          ? 'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD'
          : 'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+20A0-20AB,U+2C60-2C7F,U+A720-A7FF';
      faces.push(
        `@font-face{font-family:'Atkinson';font-weight:${weight};font-style:normal;font-display:swap;src:url('/fonts/${name}') format('woff2');unicode-range:${range}}`,
      );
    }
  }
  writeFileSync(join(target, 'fonts.css'), `${faces.join('\n')}\n`);
  cpSync(join(FONTS, 'LICENSE'), join(target, 'LICENSE'));
}

/** The typeface of printed tags as files that a PDF can hold, and the reader of square codes: both fetched only when asked for. */
export function preparePaper() {
  const fonts = join(root, 'public/fonts');
  mkdirSync(fonts, { recursive: true });
  for (const [name, weight] of [
    ['regular', '400Regular'],
    ['bold', '700Bold'],
  ])
    cpSync(
      join(
        root,
        `node_modules/@expo-google-fonts/atkinson-hyperlegible-next/${weight}/AtkinsonHyperlegibleNext_${weight}.ttf`,
      ),
      join(fonts, `tag-${name}.ttf`),
    );
  cpSync(
    join(root, 'node_modules/zxing-wasm/dist/reader/zxing_reader.wasm'),
    join(fonts, 'code-reader.wasm'),
  );
}

/** Makes the demo's log once, for every visitor and every test. */
export function prepareDemo() {
  run(process.execPath, ['--import', 'tsx', 'scripts/demoLog.ts', 'public/demo/season.json']);
}

async function buildServiceWorker() {
  const { generateSW } = await import('workbox-build');
  // A new version waits until the person agrees: neither skipWaiting nor clientsClaim.
  const { count, size, warnings } = await generateSW({
    globDirectory: join(root, 'dist'),
    globPatterns: ['**/*.{html,js,css,json,webmanifest,woff2,ttf,wasm,png,svg,ico}'],
    globIgnores: ['sw.js', 'metadata.json'],
    maximumFileSizeToCacheInBytes: 12_000_000,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    cacheId: 'steady-trowel',
    inlineWorkboxRuntime: true,
    sourcemap: false,
    swDest: join(root, 'dist/sw.js'),
  });
  for (const warning of warnings) console.warn(warning);
  console.log(`Offline copy: ${count} files, ${(size / 1e6).toFixed(1)} MB.`);
}

/** What a visitor waits for, and what is fetched right after it: the rest is not worth the time. */
const WAITED_FOR = /^(entry|__common|screens|index|_layout|listParts)-/;

/**
 * Names the variables of a whole piece of code anew. Metro names those of each module apart; named alike throughout, the same text packs a
 * fortieth smaller.
 */
async function renameAlike() {
  const { minify } = await import('terser');
  for (const file of filesUnder(join(root, 'dist/_expo/static/js'))) {
    if (!file.endsWith('.js') || !WAITED_FOR.test(basename(file))) continue;
    const { code } = await minify(readFileSync(file, 'utf8'), { compress: false, mangle: true });
    writeFileSync(file, code);
  }
}

/** Compresses each text file once, at brotli's best: a fifth smaller than what a server does on the fly. */
function precompress() {
  for (const file of filesUnder(join(root, 'dist'))) {
    if (!/\.(js|css|html|json|svg|webmanifest)$/.test(file)) continue;
    writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file)));
  }
}

export async function build() {
  const wanted = sourceHash();
  const stamp = join(root, 'dist/.build');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Building the app (a minute or two the first time) ...');
  rmSync(join(root, 'dist'), { recursive: true, force: true });
  prepareFonts();
  preparePaper();
  prepareDemo();
  await running('npx', ['expo', 'export', '--platform', 'web', '--max-workers', '2'], { env: quietEnv });
  run(process.execPath, ['--import', 'tsx', 'scripts/firstPage.ts', 'dist/index.html']);
  await saying('putting the pieces together', renameAlike);
  await buildServiceWorker();
  precompress();
  writeFileSync(stamp, wanted);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await ensurePackages();
  await build();
}
