import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { exampleGarden } from './testExample';

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

/** A file in which the examples of one file of the core stand as code, with all that they may speak of. */
function asCode(path: string): { readonly file: string; readonly text: string } {
  const file = join(ROOT, path.replace(/\.ts$/, '.examples.ts'));
  const from = `./${path.split('/').at(-1)?.replace(/\.ts$/, '') ?? ''}`;
  const up = path.split('/').length > 2 ? '..' : '.';
  const own = documented.find((each) => each.path === path)?.exported.map(({ name }) => name) ?? [];
  const values = own.filter((name) => /^[a-z]/.test(name) || /^[A-Z_]+$/.test(name));
  const calls = examples.filter(([, at]) => at === path).map(([, , call]) => call);
  const used = new Set(calls.flatMap((call) => call.match(/[A-Za-z_]\w*/g) ?? []));
  const of = (names: readonly string[]) => names.filter((name) => used.has(name));
  return {
    file,
    text: [
      `import { ${of(values).join(', ')} } from '${from}';`,
      `import type * as crops from '${up}/crops';`,
      `import type { exampleGarden } from '${up}/testExample';`,
      ...(own.includes('cropOf') ? [] : ['declare const cropOf: typeof crops.cropOf;']),
      `declare const { ${of(SPOKEN_OF).join(', ')} }: ReturnType<typeof exampleGarden>;`,
      ...calls.map((call) => `void (${call});`),
    ].join('\n'),
  };
}

const SPOKEN_OF = Object.keys(exampleGarden());

test('what the examples say is right by the types, too', () => {
  const codes = new Map(
    [...new Set(examples.map(([, path]) => path))].map(asCode).map(({ file, text }) => [file, text]),
  );
  const options: ts.CompilerOptions = {
    ...ts.parseJsonConfigFileContent({ extends: './tsconfig.json' }, ts.sys, ROOT).options,
    noEmit: true,
    noUnusedLocals: false,
    // Of a small garden that everybody knows, an example may take for granted what code may not.
    strictNullChecks: false,
  };
  const host = ts.createCompilerHost(options);
  const { readFile, fileExists, getSourceFile } = host;
  host.fileExists = (name) => codes.has(name) || fileExists(name);
  host.readFile = (name) => codes.get(name) ?? readFile(name);
  host.getSourceFile = (name, target, ...more) => {
    const text = codes.get(name);
    return text === undefined
      ? getSourceFile(name, target, ...more)
      : ts.createSourceFile(name, text, target);
  };
  const program = ts.createProgram([...codes.keys()], options, host);
  const wrong = [...codes.keys()].flatMap((file) =>
    program.getSemanticDiagnostics(program.getSourceFile(file)).map(({ messageText, start = 0 }) => {
      const line = codes.get(file)?.slice(start).split('\n')[0] ?? '';
      return `${file.slice(ROOT.length)}: ${line}: ${ts.flattenDiagnosticMessageText(messageText, ' ')}`;
    }),
  );
  expect(wrong).toEqual([]);
});
