import { controlContent } from '@/claims/content/content'
import { type Content, contentRequestSchema } from '@/claims/terms/contentRequest'
import type { ContentAnswer } from '@/claims/checkAnswer'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { failure } from '@/claims/terms/outcome'
import { parseRequest } from '@/claims/terms/parseRequest'
import { problems } from '@/claims/terms/problems'
import { CORE_VERSION } from '@/claims/terms/version'
import { conditionSentence } from '@/words/en/conditionSentences'
import { contentLimits, contentSentence, contentWarnings } from '@/words/en/contentWords'
import { basisWords } from '@/words/en/entryWords'
import { problemWords } from '@/words/en/problems'
import { idOf } from './idOf'

/**
 * Answers one control of net content: the three criteria with their figures, and one finding made of them.
 *
 * @param document - a content document, of any shape
 */
export function content(document: unknown): ContentAnswer {
  const id = idOf(document)
  const request = parseRequest(contentRequestSchema, document)
  const computed = request.ok ? controlContent(request.value.content) : request
  const refused =
    computed.ok && !isAllFinite(computed.value) ? failure(problems.requestOutOfRange('content')) : computed
  if (!refused.ok) return { ...id, ok: false, error: problemWords(refused.problem) }
  const own = (request as Readonly<{ value: Readonly<{ content: Content }> }>).value.content
  const { conditions, outcome, ...figures } = refused.value
  const basis = basisOf(own)
  return {
    ...id,
    ok: true,
    coreVersion: CORE_VERSION,
    kind: 'content',
    content: figures,
    conditions: conditions.map((condition) => ({
      ...condition,
      sentence: conditionSentence(condition, 't'),
    })),
    finding: {
      outcome,
      sentence: contentSentence(refused.value, own),
      limits: contentLimits(refused.value),
      ...(basis === '' ? {} : { basis }),
    },
    warnings: contentWarnings(figures, own),
  } as ContentAnswer
}

const basisOf = ({ setAside, entries }: Content): string =>
  basisWords({ kind: 'readings', values: [], setAside, entries })
