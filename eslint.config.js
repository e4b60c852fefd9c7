const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');

const NO_OUTSIDE_IN_CORE = [
  'react',
  'react-*',
  'react-native*',
  'expo*',
  '@expo/*',
  '@rneui/*',
  '@tanstack/*',
  '@react-native-async-storage/*',
  'express',
  'comlink',
  'node:*',
  '@/*',
];
const CLOCK_AND_CHANCE = [
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'core/ takes the time as an argument.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'core/ takes the time as an argument.',
  },
  { selector: "CallExpression[callee.name='Date']", message: 'core/ takes the time as an argument.' },
  {
    selector: "MemberExpression[object.name='DateTime'][property.name=/^(now|local|utc)$/]",
    message: 'core/ takes the time as an argument.',
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'core/ takes chance as an argument.',
  },
];

/** Which folder may not look into which: arrows point app -> ui, data -> core; server -> core; workers -> core. */
const WALLS = [
  { target: './core', from: ['./src', './server', './e2e', './bench'] },
  { target: './src/ui', from: ['./src/app', './src/workers', './server'] },
  { target: './src/data', from: ['./src/app', './src/ui', './server'] },
  // A worker that holds the log reads it as another tab would, through the same store.
  {
    target: './src/workers',
    from: ['./src/app', './src/ui', './src/data', './server'],
    except: ['../data/store'],
  },
  { target: './src/app', from: ['./server'] },
  { target: './server', from: ['./src'] },
];

module.exports = defineConfig([
  expo,
  {
    ignores: [
      'dist/**',
      '.expo/**',
      'test-results/**',
      'test-reports/**',
      'public/**',
      'node_modules/**',
      '.shots/**',
    ],
  },
  {
    rules: {
      'import/no-restricted-paths': ['error', { zones: WALLS }],
      eqeqeq: 'error',
      'no-console': 'error',
      // Both warn of packages whose default export also has the name: fast-check and axe are meant to be used so.
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      // The types say whether a file hands out what is asked of it; these read every file a second time for it, for minutes.
      'import/namespace': 'off',
      'import/named': 'off',
      'import/default': 'off',
      'import/export': 'off',
    },
  },
  {
    // No component is written here, and looking for one takes half of the time.
    files: ['{core,server,bench,e2e,scripts}/**', '*.{js,ts,cjs,mjs}'],
    rules: Object.fromEntries(
      expo
        .flatMap(({ rules }) => Object.keys(rules ?? {}))
        .filter((rule) => rule.startsWith('react'))
        .map((rule) => [rule, 'off']),
    ),
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: NO_OUTSIDE_IN_CORE,
              message: 'core/ is the trade alone: no interface, storage, network or platform.',
            },
            { group: ['../*/*', '../../*'], message: 'Use a sibling folder through its index.' },
          ],
        },
      ],
      'no-restricted-syntax': ['error', ...CLOCK_AND_CHANCE],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['@core/*/*'], message: 'Use a core folder through its index.' }] },
      ],
    },
  },
  { files: ['scripts/**', 'bench/**', 'server/index.ts'], rules: { 'no-console': 'off' } },
]);
