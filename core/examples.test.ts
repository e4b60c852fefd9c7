import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { cropOf } from './crops';
import { trialsOfStand } from './fruitset';
import type { FlowerId, PlantId } from './ids';
import { TestGarden } from './testGarden';

const ROOT = join(__dirname, '..');
const FILES = readdirSync(__dirname, { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('.ts') && !path.includes('.test.') && !path.includes('fixtures'))
  .map((path) => join('core', path));

interface Documented {
  readonly name: string;
  readonly comment: string | null;
}

/** An alias that only takes the members of a list, or an id of its table: what it means stands there. */
const MEMBERS = /= (\(typeof [A-Z_]+\)\[number\]|IdByKind\['\w+'\]);$/;

/** All that a file exports under a name of its own, each with the comment before it. */
function exportsOf(path: string): Documented[] {
  const text = readFileSync(join(ROOT, path), 'utf8');
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  return source.statements.flatMap((statement): Documented[] => {
    const exported =
      ts.canHaveModifiers(statement) &&
      statement.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
    if (!exported) return [];
    const [doc] = ts.getJSDocCommentsAndTags(statement);
    const comment = doc ? doc.getText(source) : null;
    if (ts.isFunctionDeclaration(statement)) return [{ name: statement.name?.text ?? '', comment }];
    if (ts.isInterfaceDeclaration(statement) || ts.isClassDeclaration(statement))
      return [{ name: statement.name?.text ?? '', comment }];
    if (ts.isTypeAliasDeclaration(statement))
      return MEMBERS.test(statement.getText(source)) ? [] : [{ name: statement.name.text, comment }];
    if (!ts.isVariableStatement(statement)) return [];
    return statement.declarationList.declarations.map(({ name }) => ({
      name: name.getText(source),
      comment,
    }));
  });
}

const documented = FILES.map((path) => ({ path, exported: exportsOf(path) }));

test('all that the core exports says what it is', () => {
  const silent = documented.flatMap(({ path, exported }) =>
    exported.filter(({ comment }) => comment === null).map(({ name }) => `${path}: ${name}`),
  );
  expect(silent).toEqual([]);
});

const examples = documented.flatMap(({ path, exported }) =>
  exported.flatMap(({ name, comment }) =>
    [...(comment ?? '').matchAll(/@example (.+) \/\/ (.+)/g)].map(
      ([, call = '', said = '']) => [name, path, call, said] as const,
    ),
  ),
);

/** As many digits as the example gives: 16.7 stands for anything that rounds to it. */
function close(got: unknown, said: unknown, digits: number): void {
  if (typeof said === 'number') expect(got).toBeCloseTo(said, digits);
  else if (said !== null && typeof said === 'object') {
    expect(Object.keys(got as object)).toEqual(Object.keys(said));
    for (const [key, value] of Object.entries(said))
      close((got as Record<string, unknown>)[key], value, digits);
  } else expect(got).toBe(said);
}

/**
 * What an example may speak of besides crops: a stand of three squashes for seed at 46 N. On 5 July a `female` of the first (`mother`)
 * and two males of the second (one is `male`) were shut; at 6:10 next morning she was worked with both before a bee came, marked 1-A at once, and on
 * the 12th she was growing.
 */
function exampleGarden() {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const [first, second] = plants as [PlantId, PlantId];
  const female = garden.shut('2026-07-05', first, 'female');
  const males = [garden.shut('2026-07-05', second, 'male'), garden.shut('2026-07-05', second, 'male')];
  for (const flower of [female, ...males]) garden.check(garden.time('2026-07-06', 6), flower, 'whole');
  garden.work(garden.time('2026-07-06', 6, 10), female, males, { beeIn: false });
  garden.write(garden.time('2026-07-06', 6, 12), { kind: 'marked', flower: female, mark: '1-A' });
  garden.look(garden.time('2026-07-12', 18), female, 'growing');
  const { state, place } = garden;
  return {
    state,
    place,
    zone: place.zone,
    crop: cropOf('squash-maxima'),
    mother: garden.growing(first),
    female: state.flowers.get(female),
    male: state.flowers.get(males[0] as FlowerId),
    stand: state.stands.get(stand),
    trials: trialsOfStand(state, stand, place.zone),
  };
}

test('there are examples to run', () => expect(examples.length).toBeGreaterThan(200));

test.each(examples)('the example of %s holds', (_name, path, call, said) => {
  const scope = {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- which file is only known here
    ...(require(join(ROOT, path)) as object),
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- examples speak of crops by name
    ...(require('./crops') as object),
    ...exampleGarden(),
  };
  const run = (text: string): unknown => {
    const work = new Function(...Object.keys(scope), `return (${text});`) as (...given: unknown[]) => unknown;
    return work(...Object.values(scope));
  };
  const digits = Math.max(0, ...[...said.matchAll(/\d\.(\d+)/g)].map(([, after = '']) => after.length));
  close(run(call), run(said), digits);
});
