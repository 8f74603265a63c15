/** Unit tests: the pure core, contracts, and view logic that needs no browser. */
export default {
  testEnvironment: 'node',
  // Property tests of the whole core take their time on a slow machine.
  testTimeout: 120_000,
  testMatch: ['<rootDir>/{core,shared,app,server,scripts}/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '<rootDir>/scripts/setup/jestTransform.mjs',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } },
    ],
    '/node_modules/(drizzle-orm|fast-check|postgres|pure-rand|zod)/.+\\.js$': [
      '<rootDir>/scripts/setup/jestTransform.mjs',
      { isTranslated: false },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(drizzle-orm|fast-check|postgres|pure-rand|zod)/)'],
  moduleNameMapper: {
    '^#core/(.*)$': '<rootDir>/core/$1',
    '^#shared/(.*)$': '<rootDir>/shared/$1',
    '^~/(.*)$': '<rootDir>/app/$1',
  },
  globalSetup: '<rootDir>/scripts/setup/jestSetup.mjs',
  globalTeardown: '<rootDir>/scripts/setup/jestTeardown.mjs',
  setupFiles: ['<rootDir>/scripts/setup/propertySeed.mjs'],
  modulePathIgnorePatterns: ['<rootDir>/.output', '<rootDir>/.nuxt', '<rootDir>/.data'],
}
