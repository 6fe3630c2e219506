import type { FindingOutcome } from '@/claims/finding'
import { simultaneousInterval } from '@/claims/simultaneousInterval'
import { testedTogether } from '@/claims/testedTogether'
import { intervalWords } from '@/words/en/claimLineWords'
import { claimTitle } from '@/words/en/claimTitle'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { SIMULTANEOUS_HEADS, simultaneousWords, togetherWords } from '@/words/en/togetherWords'
import { formatPercent, formatPValue } from '@/words/figures'
import type { Block, Part } from './document/document'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

/** The findings in one table; of several that were tested, also what they come to together. */
export function summaryPart(studies: readonly ClaimStudy[], write: Writer): Part {
  const tested = studies.filter(({ checked }) => checked !== undefined)
  const each = tested.map(({ checked }) => ({
    ...checked!.result.test,
    outcome: checked!.result.finding.outcome,
  }))
  const adjusted = tested.length > 1 ? testedTogether(each) : []
  const rows = studies.map((study) => {
    const { number, claim, checked, census, control, findings } = study
    const result = checked?.result
    const together = adjusted[tested.indexOf(study)]
    const level = result?.test.significanceLevel ?? 1
    const outcome = (result ?? census?.result ?? control?.result)?.finding.outcome ?? 'open'
    return [
      write(String(number)),
      write(claimTitle(claim.draft)),
      OUTCOME_WORDS[outcome],
      result ? write(formatPercent(level)) : '',
      result
        ? write(formatPValue(result.test.pValue, level))
        : census
          ? 'whole lot'
          : control
            ? 'three criteria'
            : '',
      ...(adjusted.length > 0
        ? [
            together ? write(formatPValue(together.pValue, level)) : '',
            together ? (together.outcome === outcome ? 'the same' : OUTCOME_WORDS[together.outcome]) : '',
          ]
        : []),
      signedCell(findings, outcome),
    ]
  })
  const isSeveral = adjusted.length > 0
  const hasChanged = studies.some(({ findings }) => isChangedSince(findings))
  const table: Block = {
    is: 'table',
    label: 'Findings',
    heads: [
      'No.',
      'Claim',
      hasChanged ? 'Finding now' : 'Finding',
      'Level',
      'p-value',
      ...(isSeveral ? ['Adjusted', 'Together'] : []),
      'Signed',
    ],
    rows,
    numbers: [true, false, false, true, true, ...(isSeveral ? [true, false] : []), false],
  }
  const outcomes = each.map(({ outcome, significanceLevel }, at) => ({
    outcome,
    significanceLevel,
    adjusted: adjusted[at]!,
  }))
  const together: readonly Block[] = isSeveral
    ? [{ is: 'paragraph', text: write(togetherWords(outcomes)), look: 'quiet' }]
    : []
  return { id: 'summary', title: 'Summary of findings', level: 2, blocks: [table, ...together] }
}

const isChangedSince = (findings: ClaimStudy['findings']) =>
  findings.length > 0 && !findings.some(({ isCurrent }) => isCurrent)

/** Who signed what stands; else what was signed last, and why it is not what stands. */
function signedCell(findings: ClaimStudy['findings'], outcome: FindingOutcome | 'open'): string {
  const last = findings.findLast(({ isCurrent }) => isCurrent) ?? findings.at(-1)
  if (!last) return 'not signed'
  const by = `${last.signedBy}, ${last.signedOn}`
  if (last.isCurrent && last.outcome === outcome) return by
  const why = last.isCurrent ? `with core ${last.coreVersion}` : 'changed since'
  return `${OUTCOME_WORDS[last.outcome].toLowerCase()}: ${by}; ${why}`
}

/** Of several claims, intervals that hold at once. */
export function simultaneousPart(studies: readonly ClaimStudy[], write: Writer): readonly Part[] {
  const tested = studies.flatMap(({ claim, formats: { display }, checked }) =>
    checked?.result.interval ? [{ claim, display, ...checked, interval: checked.result.interval }] : [],
  )
  const count = tested.length
  if (count < 2) return []
  const rows = tested.map(({ claim, display, document, interval }) => {
    const wider = simultaneousInterval({ document, level: interval.level, count })
    const shown = [interval, wider].map((one) => (one ? intervalWords(one, display) : ''))
    return [claimTitle(claim.draft), ...shown].map(write)
  })
  const words = simultaneousWords(tested.map(({ interval }) => interval.level))
  const blocks: readonly Block[] = [
    {
      ...{ is: 'table', label: 'Simultaneous intervals', heads: SIMULTANEOUS_HEADS },
      ...{ rows, numbers: [false, false, false] },
    },
    { is: 'paragraph', text: write(words), look: 'quiet' },
  ]
  return [{ id: 'simultaneous-intervals', title: 'Simultaneous intervals', level: 2, blocks }]
}
