import { fileURLToPath } from 'node:url'
import { buildSync } from 'esbuild'
import nextJest from 'next/jest.js'

const createConfig = nextJest({ dir: './' })

/** These packages have modules only, which Jest can't load: it is given them as the older kind. */
const MODULES = ['jose', 'asn1js', 'pkijs']
const older = (name) => fileURLToPath(new URL(`build/jest/${name}.cjs`, import.meta.url))
for (const name of MODULES)
  buildSync({
    entryPoints: [fileURLToPath(import.meta.resolve(name))],
    outfile: older(name),
    bundle: true,
    format: 'cjs',
    platform: 'node',
    external: MODULES,
  })

export default createConfig({
  testEnvironment: 'node',
  // What a test leaves behind may still be at work: each look at what was taken from it would be a warning, without end.
  testEnvironmentOptions: { globalsCleanup: 'off' },
  globalSetup: '<rootDir>/tests/setUp.mjs',
  // Outlives the run's own temporary folder.
  cacheDirectory: '<rootDir>/build/jest',
  testTimeout: 180_000,
  // Within a test's own global object each look at one of these is slow, which makes computing take three times as long.
  sandboxInjectedGlobals: ['Math', 'Number', 'Array', 'Object', 'Map', 'Set', 'String', 'JSON'],
  // Most of a run is computing, so every processor is worth having.
  maxWorkers: '100%',
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/tests/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/dist/', '<rootDir>/build/'],
  moduleNameMapper: {
    '^server-only$': '<rootDir>/tests/emptyModule.ts',
    // These offer what Jest can load only by its path.
    '^(d3-(?:array|scale|shape|path|interpolate|color|format|time|time-format))$':
      '<rootDir>/node_modules/$1/dist/$1.js',
    ...Object.fromEntries(MODULES.map((name) => [`^${name}$`, older(name)])),
    '^zod/v4/locales/en.js$': '<rootDir>/node_modules/zod/v4/locales/en.cjs',
    '^convert$': '<rootDir>/node_modules/convert/dist/index.cjs',
    '^@/(.*)$': '<rootDir>/src/$1',
    '^@tests/(.*)$': '<rootDir>/tests/$1',
  },
})
