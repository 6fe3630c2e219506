import { checkOutcome } from '@/claims/check'
import type { ClaimAnswer, ClaimDocument } from '@/claims/checkAnswer'
import { controlContent } from '@/claims/content/content'
import { type ContentDocument, contentRequestSchema } from '@/claims/terms/contentRequest'
import type { FindingOutcome } from '@/claims/finding'
import { areLong, looksOf } from '@/claims/work'
import { check } from './check'
import { content } from './content'

/** Whether a document asks for a control of net content, and not for a check. */
export const asksForControl = (document: ClaimDocument): document is ContentDocument =>
  typeof document === 'object' && document !== null && 'content' in document

/** Answers what is asked of a claim: a check, or a control of net content. */
export const answerClaim = (document: unknown): ClaimAnswer =>
  asksForControl(document as ClaimDocument) ? content(document) : check(document)

/** Only the outcome that `answerClaim` gives; undefined where it gives an error. */
export function outcomeOfClaim(document: ClaimDocument): FindingOutcome | undefined {
  if (!asksForControl(document)) return checkOutcome(document)
  const read = contentRequestSchema.safeParse(document)
  const controlled = read.success ? controlContent(read.data.content, { withConditions: false }) : undefined
  return controlled?.ok ? controlled.value.outcome : undefined
}

/** A pack is looked at about as often as this in a control, its samples that are drawn apart. */
const LOOKS_A_PACK = 4
const LOOKS_OPERATING = 50_000

/** How many looks at a reading an answer comes to, as `looksOf` counts them. */
export function looksOfClaim(document: ClaimDocument): number {
  if (!asksForControl(document)) return looksOf(document)
  const { values, gross, operating } = document.content
  return (values ?? gross ?? []).length * LOOKS_A_PACK + (operating ? LOOKS_OPERATING : 0)
}

/** Whether an answer takes longer than a frame. */
export const takesLongToAnswer = (document: ClaimDocument): boolean => areLong(looksOfClaim(document))

/** A control with everything put back that is set aside; undefined where nothing is. */
export function withAllPacks({ content: own }: ContentDocument): ContentDocument | undefined {
  const { setAside = [], ...rest } = own
  return setAside.length === 0 ? undefined : { content: rest }
}
