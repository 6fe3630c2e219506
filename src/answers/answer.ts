import { adjust, type AdjustAnswer } from './adjustRequest'
import { check } from '@/answers/check'
import { content } from './content'
import { critical, type CriticalAnswer } from './critical'
import { draw, type DrawAnswer } from './draw'
import { groups, type GroupsAnswer } from './groups'
import { lots, type LotsAnswer } from './lots'
import { type DescribeAnswer, describeReadings } from './describeRequest'
import { type EstimateAnswer, estimate } from './estimateRequest'
import { plan, type PlanAnswer } from './plan'
import { reckon, type ReckonAnswer } from './reckon'
import type { ClaimAnswer } from '@/claims/checkAnswer'

export type Answer =
  | ClaimAnswer
  | ReckonAnswer
  | CriticalAnswer
  | DescribeAnswer
  | PlanAnswer
  | AdjustAnswer
  | EstimateAnswer
  | GroupsAnswer
  | LotsAnswer
  | DrawAnswer

const KINDS = {
  reckon,
  critical,
  describe: describeReadings,
  plan,
  adjust,
  estimate,
  content,
  groups,
  lots,
  draw,
} as const

/** Answers one document of any kind: the kind whose key it has, else a check. */
export function answer(document: unknown): Answer {
  if (typeof document !== 'object' || document === null) return check(document)
  const kind = (Object.keys(KINDS) as (keyof typeof KINDS)[]).find((key) => key in document)
  return kind ? KINDS[kind](document) : check(document)
}
