import { readFileSync } from 'node:fs'
import path from 'node:path'
import * as z from 'zod/mini'
import { fieldsOf, type Field, type JsonSchema } from '@tests/document/fields'
import { estimateRequestSchema } from '@/claims/estimate'
import { planRequestSchema } from '@/claims/plan/planRequest'
import { censusResultSchema, checkErrorSchema, contentResultSchema } from '@/claims/checkAnswer'
import { groupsRequestSchema } from '@/claims/groups/groupsRequest'
import { lotsRequestSchema } from '@/claims/groups/lotsRequest'
import { contentRequestSchema } from '@/claims/terms/contentRequest'
import { checkResultSchema } from '@/claims/result'
import { PARAMETER_DEFINITIONS } from '@/claims/all'
import { conditions } from '@/claims/terms/condition'
import { checkRequestSchema } from '@/claims/terms/request'
import { adjustRequestSchema } from './adjustRequest'
import { answer } from './answer'
import { drawRequestSchema } from './draw'
import { describeRequestSchema } from './describeRequest'
import { criticalRequestSchema } from './critical'
import { reckonRequestSchema } from './reckonRequest'

// docs/CHECK-DOCUMENT.md says what the schemas, the sources and the answers say.

const ROOT = path.resolve(__dirname, '../..')
const read = (file: string) => readFileSync(path.join(ROOT, file), 'utf8')
const page = read('docs/CHECK-DOCUMENT.md')

/** The text below a heading, up to the next. */
function sectionOf(heading: string): string {
  const from = page.indexOf(`\n## ${heading}\n`)
  if (from < 0) throw new Error(`The page has no “${heading}”.`)
  const to = page.indexOf('\n## ', from + 1)
  return page.slice(from, to < 0 ? undefined : to)
}

/** The cells of every row of a section's tables, without their heads. */
const rowsOf = (heading: string) =>
  sectionOf(heading)
    .split('\n')
    .filter((line) => /^\| `/.test(line))
    .map((line) =>
      line
        .slice(1, -1)
        .split(' | ')
        .map((cell) => cell.trim()),
    )
const named = (cell: string | undefined) => cell?.replaceAll('`', '') ?? ''
const codesOf = (heading: string) => rowsOf(heading).map(([code]) => named(code))

const schemaFields = (schema: z.ZodMiniType, io: 'input' | 'output') =>
  fieldsOf(z.toJSONSchema(schema, { io }) as JsonSchema)
const inOrder = (fields: Iterable<readonly [string, Field]>) =>
  Object.fromEntries([...fields].toSorted(([one], [other]) => (one < other ? -1 : 1)))

/** Fields that the page tells of as those of another object. */
const TOLD_ELSEWHERE: readonly (readonly [pattern: RegExp, as: string])[] = [
  [/^test\.parts\[\]\./, 'test.'],
  [/^plan\.claim\./, 'claim.'],
  [/^plan\.test\./, 'test.'],
  [/^estimate\.evidence\./, 'evidence.'],
  [/^estimate\.limit\./, 'claim.limit.'],
  [/^estimate\.test\./, 'test.'],
  [/^content\.entries\[\]\./, 'evidence.entries[].'],
  [/^content\.controlPlan\./, 'content.plan.'],
  [/^conditions\[\]\./, 'conditions[].'],
  [/^(?:groups|lots)\.claim\./, 'claim.'],
  [/^(?:groups|lots)\.test\./, 'test.'],
  [/^critical\.distribution\./, 'reckon.distribution.'],
  [/^groups\.content\./, 'content.'],
  [/^lots\.lots\[\]\.evidence\./, 'evidence.'],
  [/^lots\.lots\[\]\.content\./, 'content.'],
]
/** Of a check’s own result they are told there. */
const OF_OTHERS = TOLD_ELSEWHERE.filter(([, as]) => as !== 'conditions[].')

test.each([
  ['A check', checkRequestSchema, 'input'],
  ['Its result', checkResultSchema, 'output'],
  ['The figure of a whole lot', censusResultSchema, 'output'],
  ['An error', checkErrorSchema, 'output'],
  ['Tails and quantiles', reckonRequestSchema, 'input'],
  ['Critical values', criticalRequestSchema, 'input'],
  ['A description of readings', describeRequestSchema, 'input'],
  ['A plan', planRequestSchema, 'input'],
  ['An interval without a claim', estimateRequestSchema, 'input'],
  ['P-values of claims tested together', adjustRequestSchema, 'input'],
  ['A control of net content', contentRequestSchema, 'input'],
  ['The criteria of a control', contentResultSchema, 'output'],
  ['One claim against many groups', groupsRequestSchema, 'input'],
  ['One claim against several lots', lotsRequestSchema, 'input'],
  ['A draw', drawRequestSchema, 'input'],
] as const)(
  '“%s” has every field of its schema, as the schema has it, and no other',
  (heading, schema, io) => {
    const rows = rowsOf(heading).filter((cells) => cells.length === 5)
    for (const [path, , , , meaning] of rows)
      expect([path, meaning]).toEqual([path, expect.stringMatching(/\w.*\.$/)])
    const told = rows.map(([path, is, need, where]) => [named(path), { is, need, where }] as const)
    const elsewhere = schema === (checkResultSchema as z.ZodMiniType) ? OF_OTHERS : TOLD_ELSEWHERE
    const known = [...schemaFields(schema, io)].filter(([path]) => !elsewhere.some(([own]) => own.test(path)))
    expect(inOrder(told as Iterable<readonly [string, Field]>)).toEqual(inOrder(known))
  },
)

test('what is told of as the fields of another object is as they are', () => {
  const check = schemaFields(checkRequestSchema, 'input')
  const result = schemaFields(checkResultSchema, 'output')
  const compared = (fields: ReadonlyMap<string, Field>, others: ReadonlyMap<string, Field>) => {
    const pairs = [...fields].flatMap(([path, { is, where }]) => {
      const elsewhere = TOLD_ELSEWHERE.find(([own]) => own.test(path))
      if (!elsewhere) return []
      const other = others.get(path.replace(...elsewhere))
      return [
        [
          { path, is, where },
          { path, is: other?.is, where: other?.where },
        ] as const,
      ]
    })
    expect(pairs.map(([own]) => own)).toEqual(pairs.map(([, other]) => other))
    return pairs.length
  }
  expect(compared(schemaFields(planRequestSchema, 'input'), check)).toBeGreaterThan(15)
  expect(compared(schemaFields(estimateRequestSchema, 'input'), check)).toBeGreaterThan(15)
  expect(compared(result, result)).toBeGreaterThan(15)
  const content = schemaFields(contentRequestSchema, 'input')
  const all = new Map([...check, ...content])
  expect(compared(content, all)).toBeGreaterThan(10)
  expect(compared(schemaFields(groupsRequestSchema, 'input'), all)).toBeGreaterThan(40)
  expect(compared(schemaFields(lotsRequestSchema, 'input'), all)).toBeGreaterThan(100)
  const reckoned = schemaFields(reckonRequestSchema, 'input')
  expect(compared(schemaFields(criticalRequestSchema, 'input'), reckoned)).toBe(12)
  const control = schemaFields(contentResultSchema, 'output')
  expect(compared(control, new Map([...result, ...content]))).toBeGreaterThan(20)
})

const matches = (text: string, pattern: RegExp) =>
  new Set([...text.matchAll(pattern)].map(([, code]) => code))

test('every code of an error, a warning and a condition is on the page, and no other', () => {
  const source = ['problems', 'parseRequest'].map((name) => read(`src/claims/terms/${name}.ts`)).join('')
  const problem = /problem\(\s*'\w+',\s*(?:[\w =]+\? '([a-z-]+)' : )?'([a-z-]+)'/g
  const errors = new Set(
    [...source.matchAll(problem)].flatMap(([, one, other]) =>
      [one, other].filter((code) => code !== undefined),
    ),
  )
  for (const { domain } of Object.values(PARAMETER_DEFINITIONS))
    if ('codeAbove' in domain && domain.codeAbove) errors.add(domain.codeAbove)
  const own = rowsOf('An error').filter((cells) => cells.length === 3)
  expect(own.map(([code]) => named(code)).toSorted()).toEqual([...errors].toSorted())
  const warnings = matches(read('src/claims/terms/warnings.ts'), /warning\(\s*'([a-z-]+)'/g)
  expect(codesOf('Codes of warnings').toSorted()).toEqual([...warnings].toSorted())
  const found = Object.values(conditions).map((make) =>
    (make as (figures: object) => { code: string; name: string })({}),
  )
  const told = rowsOf('Codes of conditions').map(([code, name]) => ({ code: named(code), name: named(name) }))
  expect(told).toEqual(found.map(({ code, name }) => ({ code, name })))
})

const blocks = [...page.matchAll(/```json\n([^]*?)```/g)].map(([, text]) => JSON.parse(text!))
const examples = blocks.flatMap((request, at) => (at % 2 === 0 ? [[request, blocks[at + 1]]] : []))

test('the page has an example of each kind of request and of answer', () => {
  expect(examples).toHaveLength(13)
})

test.each(examples)('%j is answered as the page says', (request, expected) => {
  expect(JSON.parse(JSON.stringify(answer(request)))).toEqual(expected)
})
