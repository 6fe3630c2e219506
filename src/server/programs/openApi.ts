import 'server-only'
import { storedText } from '@/desk/typed'
import * as z from 'zod/mini'
import { caseWordsSchema, CASE_STATES } from '@/desk/caseWords'
import { OUTCOMES } from '@/claims/finding'
import { claimDraftSchema } from '@/desk/claimDraft'
import { requestSchema } from '@/answers/jsonSchema'
import { checkErrorSchema, claimAnswerSchema } from '@/claims/checkAnswer'
import { sampleDraftSchema } from '@/desk/sampleDraft'
import { sampleFileSchema } from '@/desk/sampleFile'
import { findingRowSchema } from './findingRows'
import { CASE_ORDERS } from '@/data/caseRepository'

const instant = z.iso.datetime()
const outcome = z.nullable(z.enum(OUTCOMES))

export const claimLineSchema = z.strictObject({ id: z.uuid(), title: z.string(), outcome })
export const caseLineSchema = z.strictObject({
  id: z.uuid(),
  ...caseWordsSchema.shape,
  state: z.enum(CASE_STATES),
  createdAt: instant,
  updatedAt: instant,
  claims: z.array(claimLineSchema),
})
export const casesSchema = z.strictObject({ cases: z.array(caseLineSchema), total: z.int() })
export const caseSchema = z.strictObject({
  ...caseLineSchema.shape,
  claims: z.array(z.strictObject({ ...claimLineSchema.shape, draft: claimDraftSchema, revision: z.int() })),
  samples: z.array(z.strictObject({ id: z.uuid(), name: z.string(), kind: z.string() })),
})
export const sampleSchema = z.strictObject({
  id: z.uuid(),
  caseId: z.uuid(),
  revision: z.int(),
  draft: sampleDraftSchema,
  file: z.nullable(sampleFileSchema),
})
export const claimCheckSchema = z.strictObject({
  document: z.looseObject({}).check(z.describe('The check document, as the request of /check has it.')),
  result: claimAnswerSchema,
})
export const findingsSchema = z.strictObject({
  findings: z.array(findingRowSchema),
  /** Of the cases that answer: pages are of cases, each with all its claims. */
  cases: z.int(),
})
const problemSchema = z.strictObject({
  ok: z.literal(false),
  problem: z.strictObject({ code: z.string(), path: z.string(), message: z.string() }),
})
/** Answers to the other kinds of request have one object more, under the request's own key. */
const otherAnswerSchema = z.looseObject({ ok: z.literal(true), coreVersion: z.string() })

/** A whole number as an address states it: no spaces, no sign, no other base. */
const whole = z.pipe(z.string().check(z.regex(/^\d{1,6}$/, 'a whole number')), z.transform(Number))

export const casesQuerySchema = z.strictObject({
  text: z.optional(storedText(200)),
  state: z._default(z.enum(['current', ...CASE_STATES, 'any']), 'current'),
  outcome: z.optional(z.enum([...OUTCOMES, 'none'])),
  order: z._default(z.enum(CASE_ORDERS), 'changed'),
  direction: z._default(z.enum(['rising', 'falling']), 'falling'),
  page: z._default(z.pipe(whole, z.int().check(z.minimum(0), z.maximum(100_000))), 0),
  pageSize: z._default(z.pipe(whole, z.int().check(z.minimum(1), z.maximum(200))), 50),
})

const schemaOf = (schema: z.ZodMiniType, io: 'input' | 'output' = 'output') => {
  const { $schema: _, ...own } = z.toJSONSchema(schema, { io, unrepresentable: 'any' })
  return own
}
const json = (schema: z.ZodMiniType, io?: 'input') => ({
  'application/json': { schema: schemaOf(schema, io) },
})
const problem = (description: string) => ({ description, content: json(problemSchema) })
const identifier = (name: string) => ({
  name,
  in: 'path',
  required: true,
  schema: { type: 'string', format: 'uuid' },
})
const reading = (summary: string, id: string, schema: z.ZodMiniType) => ({
  get: {
    summary,
    parameters: [identifier(id)],
    responses: { 200: { description: 'As stored.', content: json(schema) }, 404: problem('There is none.') },
  },
})

/** The OpenAPI description of the HTTP interface, made from the schemas that its requests are read by. */
export function openApi(): object {
  const query = schemaOf(casesQuerySchema, 'input') as Readonly<{ properties: Record<string, object> }>
  const parameters = Object.entries(query.properties).map(([name, schema]) => ({ name, in: 'query', schema }))
  return {
    openapi: '3.1.0',
    info: {
      title: 'True Weight',
      version: '1',
      description: 'Check documents in, results out; cases and samples to read.',
    },
    servers: [{ url: '/api/v1' }],
    paths: {
      '/check': {
        post: {
          summary:
            'Answers a request: a check, a reckoning, critical values, a description, a plan, an adjustment, an estimate, a control of net content, or groups.',
          requestBody: {
            required: true,
            content: {
              ...json(requestSchema, 'input'),
              'application/x-ndjson': {
                schema: { type: 'string', description: 'A request a line; a result a line, in order.' },
              },
            },
          },
          responses: {
            200: { description: 'Answered.', content: json(z.union([claimAnswerSchema, otherAnswerSchema])) },
            400: problem("The request can't be read as JSON, or has two values by one name."),
            403: { description: 'It comes from another site, or by another name of this server.' },
            413: problem('The request is too large.'),
            422: { description: 'Refused, and why.', content: json(checkErrorSchema) },
          },
        },
      },
      '/cases': {
        get: {
          summary: 'The cases on the docket.',
          parameters,
          responses: {
            200: { description: 'A page of them.', content: json(casesSchema) },
            400: problem('A parameter is not as it has to be.'),
          },
        },
      },
      '/findings': {
        get: {
          summary: 'The claims of the cases on the docket with what they come to, a page of cases at a time.',
          parameters,
          responses: {
            200: { description: 'A page of them.', content: json(findingsSchema) },
            400: problem('A parameter is not as it has to be.'),
          },
        },
      },
      '/cases/{caseId}': reading('A case with its claims as typed, and its samples.', 'caseId', caseSchema),
      '/claims/{claimId}/check': reading(
        'The check document of a claim as it stands, and its result.',
        'claimId',
        claimCheckSchema,
      ),
      '/samples/{sampleId}': reading('A sample as it was described.', 'sampleId', sampleSchema),
      '/samples/{sampleId}/sheet.csv': {
        get: {
          summary: 'The sheet of a sample.',
          parameters: [identifier('sampleId')],
          responses: {
            200: { description: 'CSV (RFC 4180).', content: { 'text/csv': {} } },
            404: problem('There is none.'),
          },
        },
      },
    },
  }
}
