import * as z from 'zod/mini'
import { adjustRequestSchema } from './adjustRequest'
import { describeRequestSchema } from './describeRequest'
import { contentRequestSchema } from '@/claims/terms/contentRequest'
import { criticalRequestSchema } from './critical'
import { drawRequestSchema } from './draw'
import { lotsRequestSchema } from '@/claims/groups/lotsRequest'
import { groupsRequestSchema } from '@/claims/groups/groupsRequest'
import { estimateRequestSchema } from '@/claims/estimate'
import { planRequestSchema } from '@/claims/plan/planRequest'
import { reckonRequestSchema } from './reckonRequest'
import { checkRequestSchema } from '@/claims/terms/request'

/** Every kind of request. */
export const requestSchema = z.union([
  checkRequestSchema,
  reckonRequestSchema,
  criticalRequestSchema,
  describeRequestSchema,
  planRequestSchema,
  adjustRequestSchema,
  estimateRequestSchema,
  contentRequestSchema,
  groupsRequestSchema,
  lotsRequestSchema,
  drawRequestSchema,
])

/** The JSON Schema (draft 2020-12) of every kind of request. */
export function requestJsonSchema(): object {
  return { title: 'True Weight request', ...z.toJSONSchema(requestSchema, { io: 'input' }) }
}
