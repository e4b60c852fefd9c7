import { transformSync } from '@babel/core';
import { join } from 'node:path';
import barrels from './barrels.cjs';
import { withFirstPage } from './firstPage';

const ROOT = join(__dirname, '..');
/** The imports of a file after the plugin, each with where it is from, without the folder of the project. */
function imports(code: string): readonly string[] {
  const out = transformSync(code, {
    filename: join(ROOT, 'core/rounds/somewhere.ts'),
    configFile: false,
    babelrc: false,
    plugins: [barrels],
    parserOpts: { plugins: ['typescript'] },
  });
  return [...(out?.code ?? '').matchAll(/(?:import|export) (.+) from "(.+)";/g)].map(
    ([, names, from]) => `${names} < ${(from as string).replace(`${ROOT}/`, '')}`,
  );
}

test('a name from an index comes from the file that holds it, under the name it has here', () => {
  expect(imports("import { growing as g, plantName } from '../patch';")).toEqual([
    '{ growing as g } < core/patch/garden.ts',
    '{ plantName } < core/patch/garden.ts',
  ]);
  expect(imports("import { fold } from '@core/ledger';")).toEqual(['{ fold } < core/ledger/state.ts']);
});

test('a name passed on from an index comes from the file that holds it', () => {
  expect(imports("export { growing, plantName as name } from '../patch';")).toEqual([
    '{ growing } < core/patch/garden.ts',
    '{ plantName as name } < core/patch/garden.ts',
  ]);
});

test('what is handed on through two indexes, or under another name, is followed to its end', () => {
  expect(imports("import { Button } from '@rneui/themed';")).toEqual([
    'Button < node_modules/@rneui/themed/dist/Button/index.js',
  ]);
});

test('types, whole modules, effects and packages that nobody named stay as they are', () => {
  for (const code of [
    'import type { State } from "../ledger";',
    'import * as ledger from "../ledger";',
    'import { DateTime } from "luxon";',
    'import { growing } from "../patch/garden";',
  ])
    expect(imports(code).map((each) => each.split(' < ')[1])).toEqual([/from "(.+)"/.exec(code)?.[1]]);
});

test('the first screen goes into the built page, and its scripts to where the page starts them', () => {
  const built =
    '<head><script src="/boot.js"></script></head><body><div id="root"></div><script src="/a.js" defer></script><script src="/b.js" defer></script></body>';
  const page = withFirstPage(built);
  expect(page).toContain('<meta name="app-scripts" content="/a.js /b.js" />');
  expect(page).not.toContain('defer');
  expect(page).toContain('<button type="button" class="begin" data-first="begin">Begin my patch</button>');
  expect(() => withFirstPage('<body></body>')).toThrow('no scripts');
});
