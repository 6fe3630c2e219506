import nextJest from 'next/jest.js'

const createConfig = nextJest({ dir: './' })

export default createConfig({
  testEnvironment: 'node',
  testTimeout: 180_000,
  // Most of a run is computing, so every processor is worth having.
  maxWorkers: '100%',
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/tests/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/dist/'],
  moduleNameMapper: {
    '^server-only$': '<rootDir>/tests/emptyModule.ts',
    // The package offers its CommonJS file only by its path.
    '^convert$': '<rootDir>/node_modules/convert/dist/index.cjs',
    '^@/(.*)$': '<rootDir>/src/$1',
    '^@tests/(.*)$': '<rootDir>/tests/$1',
  },
})
