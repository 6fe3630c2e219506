import type { CaseContent } from '@/casefile/content'
import { sealsOf } from '@/casefile/followsSeals'
import { methodOf } from '@/claims/all'
import { CORE_VERSION } from '@/claims/terms/version'
import type { ReportOptions } from '@/desk/reportOptions'
import { planSource } from '@/words/en/contentWords'
import { claimTitle } from '@/words/en/claimTitle'
import { CONDITION_NAMES } from '@/words/en/conditionWords'
import { ADJUSTMENT_SOURCES, ADJUSTMENT_WORDS, BETWEEN_SOURCE } from '@/words/en/groupsWords'
import { METHOD_WORDS } from '@/words/en/methods'
import { sealWords } from '@/words/en/sealWords'
import { CONDITION_SOURCES } from '@/words/en/sources'
import type { Block, Part } from './document/document'
import { latexIn, type Writer } from './language'
import { readingsParts } from './readingsParts'
import type { ClaimStudy } from './study'

/** What stands behind the claims of a report: their readings, their working, and where the methods come from. */
export async function appendices(
  content: CaseContent,
  studies: readonly ClaimStudy[],
  options: ReportOptions,
  write: Writer,
): Promise<readonly Part[]> {
  const has = (name: ReportOptions['parts'][number]) => options.parts.includes(name)
  return [
    ...(has('readings') ? readingsParts(studies, write) : []),
    ...(has('working') ? studies.flatMap((study) => workingPart(study, options, write)) : []),
    ...(has('sources') ? [await sourcesPart(content, studies)] : []),
  ]
}

function workingPart(
  { number, claim, checked }: ClaimStudy,
  { language }: ReportOptions,
  write: Writer,
): readonly Part[] {
  if (!checked) return []
  return [
    {
      id: `working-${number}`,
      title: `Appendix: working of claim ${number}`,
      level: 2,
      blocks: [
        { is: 'paragraph', text: write(claimTitle(claim.draft)), look: 'quiet' },
        ...checked.result.working.map(({ name, text, latex }, at): Block => ({
          is: 'formula',
          name: `${at + 1}. ${write(name)}`,
          text: write(text),
          latex: latexIn(language, latex),
        })),
      ],
    },
  ]
}

/** Where the adjustment of groups and lots comes from, and the test whether they differ. */
function sourcesOfMany(studies: readonly ClaimStudy[]): readonly (readonly [string, string])[] {
  const many = studies.filter(({ groups, lots }) => groups?.ok || lots?.ok)
  const adjustments = [...new Set(many.map(({ claim }) => claim.draft.adjustment))]
  const hasBetween = many.some(({ groups, lots }) =>
    [groups, lots].some((one) => one?.ok && one.value.between !== undefined),
  )
  return [
    ...adjustments.map(
      (name) => [`Groups taken together, ${ADJUSTMENT_WORDS[name]}`, ADJUSTMENT_SOURCES[name]] as const,
    ),
    ...(hasBetween ? [['Whether groups differ', BETWEEN_SOURCE] as const] : []),
  ]
}

/** Where the methods come from, and by what the data and the figures are known again. */
async function sourcesPart(content: CaseContent, studies: readonly ClaimStudy[]): Promise<Part> {
  const { samples, head } = content
  const seal = (await sealsOf(content)).at(-1)?.seal
  const results = studies.flatMap(({ checked }) => (checked ? [checked.result] : []))
  const controls = studies.flatMap(({ control }) => (control ? [control.result] : []))
  const methods = [...new Set(results.map(({ test }) => test.method))]
  const conditions = [
    ...new Set([...results, ...controls].flatMap((result) => result.conditions.map(({ name }) => name))),
  ]
  const fingerprints = [
    ...studies.flatMap(({ number, checked, census, control }) => {
      const answered = checked ?? census ?? control
      return answered ? [[`Check document of claim ${number}`, answered.fingerprint] as const] : []
    }),
    ...samples.flatMap(({ file }) => (file ? [[`File ${file.fileName}`, file.fileSha256] as const] : [])),
    ...(head.hash ? [['Last entry of the trail', head.hash] as const] : []),
    ...(seal
      ? [['Last seal of the trail', `${sealWords(seal)} Entry ${seal.length}: ${seal.hash}`] as const]
      : []),
  ]
  const sources = [
    ...controls.map(
      ({ content: { controlPlan } }) =>
        [`Control plan “${controlPlan.name}”`, planSource(controlPlan)] as const,
    ),
    ...methods.map((method) => [METHOD_WORDS[method].name, methodOf(method).source] as const),
    ...conditions.map(
      (name) => [`Condition: ${CONDITION_NAMES[name].toLowerCase()}`, CONDITION_SOURCES[name]] as const,
    ),
    ...sourcesOfMany(studies),
    ...(results.length > 1
      ? [['Several claims together', 'Holm (1979), Scandinavian J. of Statistics 6, 65-70'] as const]
      : []),
  ]
  return {
    id: 'sources',
    title: 'Methods and sources',
    level: 2,
    blocks: [
      { is: 'facts', label: 'Sources', rows: sources },
      {
        is: 'paragraph',
        text: `Every figure was computed with core ${CORE_VERSION}, and the data have these fingerprints (SHA-256):`,
      },
      { is: 'facts', label: 'Fingerprints', rows: fingerprints },
    ],
  }
}
