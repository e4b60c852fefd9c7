// Puts the first screen into the built page itself, and the app's scripts where `boot.js` starts them: on a slow phone the words stand
// in a moment, long before the app does.
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { escapeHtml } from '../core/formats/html';
import { FIRST_WORDS as words } from '../src/ui/firstWords';

const SCRIPT = /<script src="([^"]+)" defer><\/script>/g;

const button = (what: 'begin' | 'demo' | 'file') =>
  `<button type="button" class="${what}" data-first="${what}">${escapeHtml(words[what])}</button>`;

const FIRST = `<div id="first">
      <main>
        <h1>${escapeHtml(words.title)}</h1>
        <img src="/first.svg" alt="" width="361" height="150" />
        <h2>${escapeHtml(words.heading)}</h2>
        <p>${escapeHtml(words.lead)}</p>
        <p class="muted">${escapeHtml(words.kept)}</p>
      </main>
      <div class="foot"><div>${button('begin')}${button('demo')}${button('file')}</div></div>
    </div>`;

const FONTS = /src:url\('([^']*-latin-\d+-[^']*)'\)/g;

/** The typeface is fetched with the page: one that comes after the first word pushes words aside. */
export function withFonts(html: string, css: string): string {
  const sheet = '<link rel="stylesheet" href="/fonts/fonts.css" />';
  const links = [...css.matchAll(FONTS)].map(
    ([, href]) => `<link rel="preload" as="font" type="font/woff2" crossorigin href="${href}" />`,
  );
  if (links.length === 0 || !html.includes(sheet))
    throw new Error('firstPage: the built page has no typeface.');
  return html.replace(sheet, `${links.join('\n    ')}\n    ${sheet}`);
}

/** The page as the build wrote it, with the first screen in it. Throws where the page is not as expected. */
export function withFirstPage(html: string): string {
  const scripts = [...html.matchAll(SCRIPT)].map(([, src]) => src);
  const boot = '<script src="/boot.js"></script>';
  const root = '<div id="root"></div>';
  if (scripts.length === 0 || !html.includes(boot) || !html.includes(root))
    throw new Error('firstPage: the built page has no scripts, no boot.js or no root.');
  return html
    .replace(SCRIPT, '')
    .replace(boot, `<meta name="app-scripts" content="${scripts.join(' ')}" />\n    ${boot}`)
    .replace(root, `${FIRST}\n    ${root}`);
}

const [, , path] = process.argv;
if (path?.endsWith('.html')) {
  const css = readFileSync(join(dirname(path), 'fonts/fonts.css'), 'utf8');
  writeFileSync(path, withFonts(withFirstPage(readFileSync(path, 'utf8')), css));
}
