import { execFileSync } from 'node:child_process'

type Case = readonly [file: string, code: string]

// docs/ARCHITECTURE.md, the table of who may import whom.
const FORBIDDEN: readonly Case[] = [
  ['src/claims/a.ts', "import React from 'react'"],
  ['src/claims/a.ts', "import { readFileSync } from 'node:fs'"],
  ['src/claims/a.ts', "import { a } from '@/intake/reading/number'"],
  ['src/claims/a.ts', "import { a } from '@/words/figures'"],
  ['src/claims/a.ts', "import { a } from '@/answers/check'"],
  ['src/desk/a.ts', "import { a } from '@/words/figures'"],
  ['src/pictures/a.ts', "import { a } from '@/words/figures'"],
  ['src/words/a.ts', "import { a } from '@/answers/check'"],
  ['src/statistics/describe/a.ts', "import * as z from 'zod/mini'"],
  ['src/statistics/describe/a.ts', "import { a } from '@/claims/terms/claim'"],
  ['src/intake/a.ts', "import { a } from '@/answers/check'"],
  ['src/claims/a.ts', "import { a } from '../intake/number'"],
  ['src/claims/a.ts', 'export const now = () => new Date()'],
  ['src/claims/a.ts', 'export const any = () => Math.random()'],
  ['src/intake/a.ts', "import { a } from '@/data/client'"],
  ['src/data/a.ts', "import { a } from '@/server/keeping/database'"],
  ['src/server/a.ts', "import { a } from '@/features/docket/Docket'"],
  ['src/ui/a.ts', "import { a } from '@/server/docket/docket'"],
  ['src/features/docket/a.ts', "import { a } from '@/features/case/CaseView'"],
  ['src/features/docket/a.ts', "import { a } from '../case/CaseView'"],
  ['src/features/docket/a.ts', "import { a } from '@/server/docket/docket'"],
  ['src/app/a.ts', "import { a } from '@/claims/check'"],
  ['src/desk/a.ts', "import * as z from 'zod'"],
  ['src/desk/a.ts', "import { z } from 'zod/mini'"],
]
const ALLOWED: readonly Case[] = [
  [
    'src/claims/a.ts',
    "import * as z from 'zod/mini'\nimport { a } from '../outcome'\nimport { b } from '@/statistics/describe/moments'",
  ],
  ['src/features/docket/actions.ts', "import { a } from '@/server/docket/docket'"],
  [
    'src/features/docket/a.tsx',
    "import { a } from '@/ui/Button'\nimport { b } from '@/claims/terms/outcome'",
  ],
  ['src/server/a.ts', "import { a } from '@/data/client'\nimport { b } from '@/intake/reading/number'"],
  [
    'src/app/a.tsx',
    "import { a } from '@/features/docket/Docket'\nimport { b } from '@/server/docket/docket'",
  ],
]

/** Jest cannot load ESLint's configuration into its own sandbox, so one process lints all cases. */
const LINT = `
  import { ESLint } from 'eslint'
  const eslint = new ESLint()
  const counts = []
  for (const [filePath, code] of JSON.parse(process.argv[1])) {
    const [{ messages }] = await eslint.lintText(code, { filePath })
    counts.push(messages.filter(({ ruleId }) => ruleId?.startsWith('no-restricted')).length)
  }
  console.log(JSON.stringify(counts))`

const cases = [...FORBIDDEN, ...ALLOWED]
let refusals: readonly number[]
beforeAll(() => {
  const script = ['--input-type=module', '-e', LINT, JSON.stringify(cases)]
  refusals = JSON.parse(execFileSync(process.execPath, script, { encoding: 'utf8' })) as number[]
})

test.each(FORBIDDEN)('%s may not: %s', (...row) => {
  expect(refusals[cases.findIndex(([file, code]) => file === row[0] && code === row[1])]).toBeGreaterThan(0)
})

test.each(ALLOWED)('%s may: %s', (...row) => {
  expect(refusals[cases.findIndex(([file, code]) => file === row[0] && code === row[1])]).toBe(0)
})
