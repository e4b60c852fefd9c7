const coreModules = '/node_modules/(?!(d3-[a-z-]+|internmap|suncalc|luxon|ulid|ts-fsrs|jsts)/)';
const uiModules =
  '/node_modules/(?!((jest-)?react-native|@react-native(-community|-async-storage)?|expo(nent)?|@expo(nent)?/.*|react-navigation|@react-navigation/.*|@rneui/.*|react-native-svg|d3-[a-z-]+|internmap|suncalc|ulid|comlink|ts-fsrs|@tanstack/(react-table|table-core|react-store|store)))';
const aliases = {
  '^@/(.*)$': '<rootDir>/src/$1',
  '^@core/(.*)$': '<rootDir>/core/$1',
  '^fast-check$': '<rootDir>/scripts/fastCheck.cjs',
};

module.exports = {
  // A busy machine takes its time; nothing here waits for a clock. At full size a property runs for minutes.
  testTimeout: process.env.FULL === '1' ? 900_000 : 30_000,
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      // The test run puts the files of a room together (scripts/groups.mjs).
      testMatch: process.env.TEST_GROUPS
        ? [`${process.env.TEST_GROUPS}/*.test.js`]
        : [
            '<rootDir>/core/**/*.test.ts',
            '<rootDir>/server/**/*.test.ts',
            '<rootDir>/scripts/**/*.test.ts',
            '<rootDir>/src/**/*.test.ts',
          ],
      moduleNameMapper: aliases,
      transform: { '^.+\\.([cm]?js|tsx?)$': '<rootDir>/jest-esbuild.js' },
      transformIgnorePatterns: [coreModules],
    },
    {
      displayName: 'ui',
      preset: 'jest-expo',
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      moduleNameMapper: aliases,
      // d3 ships as .mjs alone, which the preset's own transform passes over.
      transform: { '\\.mjs$': '<rootDir>/jest-esbuild.js' },
      transformIgnorePatterns: [uiModules, '/node_modules/react-native-reanimated/plugin/'],
    },
  ],
};
