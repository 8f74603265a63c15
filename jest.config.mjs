/** Unit tests: the pure core, contracts, and view logic that needs no browser. */
const TESTS = '<rootDir>/{core,shared,app,server,scripts}/**/*.test.ts'
/** Tests that put another module in the place of one. */
const WITH_OTHER_MODULES = '/core/testing/oneJointMore\\.test\\.ts$'

const shared = {
  globalSetup: '<rootDir>/scripts/setup/jestSetup.mjs',
  globalTeardown: '<rootDir>/scripts/setup/jestTeardown.mjs',
  setupFiles: ['<rootDir>/scripts/setup/propertySeed.mjs'],
  modulePathIgnorePatterns: ['<rootDir>/.output', '<rootDir>/.nuxt', '<rootDir>/.data'],
}

/** Every test file in a world of its own: slow, but modules can be replaced, and what is reached can be measured. */
const apart = {
  ...shared,
  displayName: 'apart',
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } },
    ],
  },
  moduleNameMapper: {
    '^#core/(.*)$': '<rootDir>/core/$1',
    '^#shared/(.*)$': '<rootDir>/shared/$1',
    '^~/(.*)$': '<rootDir>/app/$1',
  },
}

/**
 * All others run in Node as the server does, one after the other: what is loaded and warm stays so. A test file cleans up
 * after itself what others could meet: the clock, the pool of the database.
 */
const together = {
  ...shared,
  displayName: 'together',
  runner: ['jest-light-runner', { runtime: 'child_process' }],
}

export default {
  // A pool or a timer that a test left open is no reason to wait: the tests have been told.
  forceExit: true,
  // For tests that run apart; those together are waited for as a whole.
  testTimeout: 120_000,
  projects: process.env.EACH_APART
    ? [{ ...apart, testMatch: [TESTS] }]
    : [
        { ...together, testMatch: [TESTS], testPathIgnorePatterns: [WITH_OTHER_MODULES] },
        { ...apart, testRegex: WITH_OTHER_MODULES },
      ],
}
