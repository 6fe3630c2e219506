import nextJest from 'next/jest.js'

const createConfig = nextJest({ dir: './' })

/** Journeys through the production build in a real browser, two at a time: each file has a server and a browser of its own. */
export default createConfig({
  testEnvironment: 'node',
  // Each journey stands by itself: none may rest on what another one left behind.
  randomize: true,
  globalSetup: '<rootDir>/tests/journeys/setUp.ts',
  cacheDirectory: '<rootDir>/build/jest',
  testMatch: ['<rootDir>/tests/journeys/**/*.journey.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/dist/', '<rootDir>/build/'],
  moduleNameMapper: {
    // Jest can load the older kind only.
    '^zod/v4/locales/en.js$': '<rootDir>/node_modules/zod/v4/locales/en.cjs',
    '^@/(.*)$': '<rootDir>/src/$1',
    '^@tests/(.*)$': '<rootDir>/tests/$1',
  },
  testTimeout: 300_000,
  maxWorkers: 2,
})
