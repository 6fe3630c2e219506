import type { CaseContent } from '@/casefile/content'
import { sealsOf } from '@/casefile/followsSeals'
import { CORE_VERSION } from '@/claims/terms/version'
import type { ReportOptions } from '@/desk/reportOptions'
import { claimTitle } from '@/words/en/claimTitle'
import { sealWords } from '@/words/en/sealWords'
import type { Block, Part } from './document/document'
import { latexIn, type Writer } from './language'
import { readingsParts } from './readingsParts'
import { sourcesOf } from './sources'
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
    ...(has('sources') ? [await sourcesPart(content, studies, has('summary'))] : []),
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

/** Where the methods come from, and by what the data and the figures are known again. */
async function sourcesPart(
  content: CaseContent,
  studies: readonly ClaimStudy[],
  together: boolean,
): Promise<Part> {
  const { samples, head } = content
  const seal = (await sealsOf(content)).at(-1)?.seal
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
  return {
    id: 'sources',
    title: 'Methods and sources',
    level: 2,
    blocks: [
      { is: 'facts', label: 'Sources', rows: sourcesOf(studies, { together }) },
      {
        is: 'paragraph',
        text: `Every figure was computed with core ${CORE_VERSION}, and the data have these fingerprints (SHA-256):`,
      },
      { is: 'facts', label: 'Fingerprints', rows: fingerprints },
    ],
  }
}
