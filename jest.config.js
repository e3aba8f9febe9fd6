const compiled = require('./scripts/lib/compiled.cjs');

/**
 * Jest runs files in a context of its own, where each word of the language is searched for anew at every use: twelve weeks of a
 * seeded head took 8 times as long as in plain node. These are handed in. Date and timers are not: fake clocks replace them.
 */
const QUICK_GLOBALS = [
  'Math',
  'Number',
  'String',
  'Object',
  'Array',
  'Map',
  'Set',
  'JSON',
  'Infinity',
  'Float64Array',
  'Float32Array',
  'Int32Array',
  'Uint8Array',
  'Uint8ClampedArray',
];

/** Core, server, command line and scripts run in plain node, which starts far faster than the interface's environment. */
const node = (displayName, testMatch, more = {}) => ({
  displayName,
  testEnvironment: 'node',
  testMatch,
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transform: { '\\.[cm]?[jt]sx?$': ['@swc/jest', compiled] },
  transformIgnorePatterns: [
    '/node_modules/(?!(minisearch|parse-ingredient|numeric-quantity|d3-.*|internmap|date-fns|comlink|@lingui/core|@lingui/message-utils|zod/v4/(?:locales|core))/)',
  ],
  sandboxInjectedGlobals: QUICK_GLOBALS,
  ...more,
});

const ES_MODULES = [
  '(jest-)?react-native',
  '@react-native(-community)?',
  'expo(nent)?',
  '@expo(nent)?/.*',
  'react-redux',
  '@reduxjs/toolkit',
  'immer',
  'reselect',
  'redux',
  'redux-thunk',
  'nativewind',
  'react-native-css-interop',
  'd3-.*',
  'internmap',
  'date-fns',
  'lucide-react-native',
  'minisearch',
  'comlink',
  '@lingui/.*',
  'zod/v4/(?:locales|core)',
  '@rn-primitives/.*',
  'idb',
  'nanoid',
].join('|');

module.exports = {
  // As many as the machine has cores; Jest's own choice leaves one of two idle.
  maxWorkers: '100%',
  // A machine that is shared can be five times as slow as it is alone; no test waits for a clock.
  testTimeout: 60_000,
  projects: [
    node('core', ['<rootDir>/src/core/**/*.test.ts']),
    node('node', ['<rootDir>/server/**/*.test.ts', '<rootDir>/cli/**/*.test.ts']),
    node('browser', ['<rootDir>/e2e/**/*.test.ts'], {}),
    {
      displayName: 'interface',
      preset: 'jest-expo/web',
      sandboxInjectedGlobals: QUICK_GLOBALS,
      testMatch: ['<rootDir>/src/*.test.ts', '<rootDir>/src/{store,features,ui,workers}/**/*.test.{ts,tsx}'],
      transform: {
        '\\.mjs$': ['babel-jest', { caller: { name: 'metro', bundler: 'metro', platform: 'web' } }],
      },
      moduleNameMapper: {
        '^@/(.*)$': '<rootDir>/src/$1',
        '\\.css$': '<rootDir>/scripts/emptyModule.js',
        '^async-storage-connections$':
          '<rootDir>/node_modules/@react-native-async-storage/async-storage/lib/module/web-module/IndexedDBConnectionRegistry.js',
      },
      transformIgnorePatterns: [`/node_modules/(?!(${ES_MODULES}))`],
    },
  ],
};
