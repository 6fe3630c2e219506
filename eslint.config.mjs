import { readdirSync } from 'node:fs'
import coreWebVitals from 'eslint-config-next/core-web-vitals'
import nextTypescript from 'eslint-config-next/typescript'
import { defineConfig, globalIgnores } from 'eslint/config'

/** The rooms of the core, the lowest first: pure computation, each with what it may import. */
const CORE = {
  statistics: [],
  claims: ['statistics'],
  pictures: ['claims', 'statistics'],
  desk: ['claims', 'statistics'],
  words: ['pictures', 'desk', 'claims', 'statistics'],
  answers: ['words', 'claims', 'statistics'],
}
const WHOLE_CORE = Object.keys(CORE)

/** Who may import whom: docs/ARCHITECTURE.md has the same table in words. */
const FLOORS = {
  app: ['features', 'ui', 'server'],
  features: ['ui', 'workers', 'intake', ...WHOLE_CORE],
  cli: ['server', 'data', 'report', 'casefile', 'intake', ...WHOLE_CORE],
  server: ['data', 'report', 'casefile', 'intake', ...WHOLE_CORE],
  report: ['casefile', 'intake', ...WHOLE_CORE],
  casefile: ['intake', ...WHOLE_CORE],
  ui: ['workers', 'intake', ...WHOLE_CORE],
  workers: ['intake', ...WHOLE_CORE],
  data: ['desk', 'claims', 'statistics'],
  intake: ['words', 'desk', 'claims', 'statistics'],
  ...CORE,
}
const NAMES = Object.keys(FLOORS)
/** Files of a feature that run on the server only. */
const SERVER_FILES = ['src/features/**/actions.ts']

const forbidden = (regex, message) => ({ regex, message })

function patternsFor(floor, allowed) {
  const others = NAMES.filter((name) => name !== floor && !allowed.includes(name)).join('|')
  return [
    forbidden(`^@/(${others})/`, `src/${floor} may import only: ${allowed.join(', ') || 'itself and zod'}.`),
    forbidden(`^(\\.\\./)+(${NAMES.join('|')})/`, 'Import another floor by its name: @/floor/file.'),
    forbidden(
      '^@chakra-ui/react$',
      'Import what is used: @chakra-ui/react/box and the like; the whole is ten times as much to build.',
    ),
  ]
}

const withPatterns = (files, patterns, ignores = ['**/*.test.ts', '**/*.test.tsx']) => ({
  files,
  ignores,
  rules: { 'no-restricted-imports': ['error', { patterns }] },
})

const features = readdirSync('src/features', { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name)

function patternsForFeature(feature, allowed) {
  const others = features.filter((name) => name !== feature).join('|')
  return [
    ...patternsFor('features', allowed),
    forbidden(
      `^(@/features|\\.\\.)/(${others})/`,
      'A feature imports no other feature: move what both need down a floor.',
    ),
  ]
}

const floorRules = Object.entries(FLOORS)
  .filter(([floor]) => !WHOLE_CORE.includes(floor) && floor !== 'features')
  .map(([floor, allowed]) => withPatterns([`src/${floor}/**/*.{ts,tsx}`], patternsFor(floor, allowed)))

const featureRules = features.flatMap((feature) => {
  const files = [`src/features/${feature}/**/*.{ts,tsx}`]
  const onServer = SERVER_FILES.map((pattern) => pattern.replace('**', feature))
  return [
    withPatterns(files, patternsForFeature(feature, FLOORS.features)),
    withPatterns(onServer, patternsForFeature(feature, [...FLOORS.features, 'server'])),
  ]
})

const coreRules = WHOLE_CORE.map((room) => {
  const rules = withPatterns(
    [`src/${room}/**/*.ts`],
    [
      forbidden(
        room === 'statistics' ? '^(?!\\./|\\.\\./).+' : '^(?!\\./|\\.\\./|zod/|d3-|canonicalize$|@/).+',
        'The core imports nothing outside itself but zod, canonical JSON, and d3 for pictures and for searching what is sorted.',
      ),
      ...patternsFor(room, CORE[room]),
    ],
  )
  rules.rules['no-restricted-globals'] = ['error', 'Date', 'performance', 'console', 'fetch', 'setTimeout']
  rules.rules['no-restricted-properties'] = [
    'error',
    { object: 'Math', property: 'random', message: 'The core takes a seed as an argument.' },
  ]
  return rules
})

export default defineConfig([
  globalIgnores(['.next/**', 'build/**', 'dist/**', 'data/**', 'next-env.d.ts']),
  ...coreWebVitals,
  ...nextTypescript,
  {
    rules: {
      'max-lines': ['error', { max: 250, skipBlankLines: true }],
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/no-unused-vars': ['warn', { ignoreRestSiblings: true }],
      'no-restricted-syntax': [
        'error',
        {
          selector: "ImportDeclaration[source.value='zod']",
          message: "Write import * as z from 'zod/mini': it is a quarter as large, and made sooner.",
        },
        {
          selector: "ImportDeclaration[source.value='zod/mini'][importKind='value'] > ImportSpecifier",
          message:
            "Write import * as z from 'zod/mini': a bundle holds all of it otherwise, with every language.",
        },
        {
          selector: "ImportDeclaration[source.value='next/link']",
          message: 'Take PageLink, which asks for nothing before it is followed.',
        },
      ],
    },
  },
  {
    files: ['**/*.test.ts', '**/*.journey.ts', '**/*.mjs'],
    rules: { 'max-lines-per-function': 'off' },
  },
  ...floorRules,
  ...featureRules,
  ...coreRules,
])
