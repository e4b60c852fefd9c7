/* global __dirname */
// Metro ships whole modules, and an index of re-exports takes along everything that it names. So an import from an index is rewritten
// to the file in which the name is written down. Only files that do nothing but import and re-export count as an index, since leaving
// one out must change nothing. `metro.config.js` puts what they hand out into the name of its cache: an importer depends on it unseen.
const { existsSync, readFileSync, statSync } = require('node:fs');
const { dirname, join } = require('node:path');

const ROOT = join(__dirname, '..');
const FOLDERS = { '@core/': join(ROOT, 'core/'), '@/': join(ROOT, 'src/') };
/** Packages whose indexes are known to have no effect of their own. */
const PACKAGES = {
  '@rneui/themed': join(ROOT, 'node_modules/@rneui/themed/dist/index.js'),
  '@rneui/base': join(ROOT, 'node_modules/@rneui/base/dist/index.js'),
  '@tanstack/react-query': join(ROOT, 'node_modules/@tanstack/react-query/build/modern/index.js'),
  '@tanstack/query-core': join(ROOT, 'node_modules/@tanstack/query-core/build/modern/index.js'),
};
const ENDINGS = ['.ts', '.tsx', '.js', '/index.ts', '/index.tsx', '/index.js'];

/** The folders whose files are read. */
const OURS = [...Object.values(FOLDERS), ...Object.values(PACKAGES).map((index) => `${dirname(index)}/`)];

/** The file that an import means, where it is one of ours or of the packages above. */
function fileOf(source, from) {
  if (PACKAGES[source]) return PACKAGES[source];
  const folder = Object.keys(FOLDERS).find((each) => source.startsWith(each));
  if (!folder && !source.startsWith('.')) return null;
  const path = folder ? FOLDERS[folder] + source.slice(folder.length) : join(dirname(from), source);
  if (!OURS.some((each) => path.startsWith(each))) return null;
  const found = ['', ...ENDINGS]
    .map((each) => path + each)
    .find((each) => existsSync(each) && statSync(each).isFile());
  return found && /\.[jt]sx?$/.test(found) ? found : null;
}

const nameOf = (node) => node.name ?? node.value;
/** The name that an import asks for; `null`: everything as one. */
const importedName = (specifier) =>
  specifier.type === 'ImportDefaultSpecifier'
    ? 'default'
    : specifier.imported
      ? nameOf(specifier.imported)
      : null;

module.exports = function barrels({ types: t, parse }) {
  const read = new Map();

  /** What a file says of its exports: those it passes on, those it takes wholesale from others, its own; and whether it does more. */
  function reading(file) {
    const known = read.get(file);
    if (known) return known;
    const said = { passed: new Map(), all: [], own: new Set(), index: true };
    read.set(file, said);
    const { program } = parse(readFileSync(file, 'utf8'), {
      filename: file,
      configFile: false,
      babelrc: false,
      parserOpts: { plugins: ['jsx', ...(/\.tsx?$/.test(file) ? ['typescript'] : [])] },
    });
    const imported = new Map();
    for (const node of program.body) {
      if (node.type === 'ImportDeclaration') {
        for (const each of node.specifiers) {
          const name = importedName(each);
          imported.set(each.local.name, name === null ? null : { source: node.source.value, name });
        }
        // Imported for what it does.
        if (node.specifiers.length === 0) said.index = false;
      } else if (node.type === 'ExportAllDeclaration') said.all.push(node.source.value);
      else if (node.type === 'ExportNamedDeclaration' && node.source) {
        for (const each of node.specifiers) {
          if (each.type === 'ExportSpecifier')
            said.passed.set(nameOf(each.exported), {
              source: node.source.value,
              name: nameOf(each.local),
            });
          else said.own.add(nameOf(each.exported));
        }
      } else if (node.type === 'ExportNamedDeclaration' && !node.declaration) {
        for (const each of node.specifiers) {
          const from = imported.get(each.local.name);
          if (from) said.passed.set(nameOf(each.exported), from);
          else said.own.add(nameOf(each.exported));
        }
      } else if (node.type === 'ExportDefaultDeclaration') {
        said.index = false;
        said.own.add('default');
      } else {
        said.index = false;
        const declared = node.type === 'ExportNamedDeclaration' ? node.declaration : null;
        for (const name of declared ? Object.keys(t.getBindingIdentifiers(declared, false, true)) : [])
          said.own.add(name);
      }
    }
    return said;
  }

  /** Where a name that a file exports is written down; `null` where that is not plain to see. */
  function homeOf(file, name, seen = new Set()) {
    if (seen.has(file)) return null;
    seen.add(file);
    const said = reading(file);
    if (said.own.has(name)) return { file, name };
    const passed = said.passed.get(name);
    // Only through an index: what else a file does is not left out.
    if (passed && said.index) {
      const next = fileOf(passed.source, file);
      return (next && homeOf(next, passed.name, seen)) ?? null;
    }
    if (passed) return { file, name };
    if (name === 'default') return null;
    for (const source of said.all) {
      const next = fileOf(source, file);
      const found = next && homeOf(next, name, seen);
      if (found) return said.index ? found : { file, name };
    }
    return null;
  }

  /** What stands for an import from an index, or for names passed on from one; itself where there is none. */
  function asHomes(node, filename) {
    const imports = node.type === 'ImportDeclaration' && node.importKind !== 'type';
    const passesOn = node.type === 'ExportNamedDeclaration' && node.exportKind !== 'type' && node.source;
    if (!(imports || passesOn) || node.specifiers.length === 0) return [node];
    const file = fileOf(node.source.value, filename);
    if (!file || file === filename || !reading(file).index) return [node];
    const stay = [];
    const homes = [];
    for (const each of node.specifiers) {
      const name = imports ? importedName(each) : each.type === 'ExportSpecifier' ? nameOf(each.local) : null;
      const typed = (each.importKind ?? each.exportKind) === 'type';
      const home = name === null || typed ? null : homeOf(file, name);
      if (!home || home.file === file) stay.push(each);
      else {
        const source = t.stringLiteral(home.file);
        if (passesOn)
          homes.push(
            t.exportNamedDeclaration(
              null,
              [t.exportSpecifier(t.identifier(home.name), each.exported)],
              source,
            ),
          );
        else if (home.name === 'default')
          homes.push(t.importDeclaration([t.importDefaultSpecifier(each.local)], source));
        else
          homes.push(t.importDeclaration([t.importSpecifier(each.local, t.identifier(home.name))], source));
      }
    }
    const left = passesOn
      ? (of) => t.exportNamedDeclaration(null, of, node.source)
      : (of) => t.importDeclaration(of, node.source);
    return [...(stay.length > 0 ? [left(stay)] : []), ...homes];
  }

  return {
    name: 'barrels',
    visitor: {
      Program: {
        // After what needs to know who uses what: types are gone by then.
        exit({ node }, { filename }) {
          node.body = node.body.flatMap((each) => asHomes(each, filename));
        },
      },
    },
  };
};
