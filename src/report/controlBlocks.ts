import {
  contentQuantity,
  CRITERIA_HEADS,
  CRITERION_STATES,
  criterionLines,
  controlFigures,
  OPERATING_HEADS,
  operatingRows,
  operatingWords,
  planWords,
  toPassWords,
} from '@/words/en/contentWords'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { packsLine } from '@/words/en/packsLineWords'
import { formatCount } from '@/words/figures'
import type { Block } from './document/document'
import { claimLine } from './drawing/claimLine'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

type Control = NonNullable<ClaimStudy['control']>

/** The finding of a control in its words, what it does not say, and what has to be known of its plan. */
export function controlFinding(
  { result, whole }: Control,
  quote: readonly Block[],
  write: Writer,
): Readonly<{ said: readonly Block[]; beside: readonly Block[] }> {
  const { finding, warnings } = result
  const { outcome, sentence, limits, basis } = finding
  const withAll = ({ finding }: typeof result) =>
    `With everything that is set aside: ${OUTCOME_WORDS[finding.outcome].toLowerCase()}. ${finding.sentence}`
  return {
    said: [
      { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
      ...quote,
      { is: 'paragraph', text: write(sentence), look: 'finding' },
      { is: 'paragraph', text: write(limits), look: 'quiet' },
      ...(basis ? [{ is: 'paragraph', text: basis } as const] : []),
    ],
    beside: [
      ...(whole ? [{ is: 'paragraph', text: write(withAll(whole)) } as const] : []),
      ...(warnings.length > 0
        ? [{ is: 'list', items: warnings.map(({ message }) => write(message)) } as const]
        : []),
    ],
  }
}

/** Criteria side by side, each with its mark. */
export function criteriaTable(label: string, lines: ReturnType<typeof criterionLines>, write: Writer): Block {
  return {
    is: 'table',
    label,
    heads: CRITERIA_HEADS,
    rows: lines.map(({ asks, seen, limit, state }) =>
      [asks, seen, limit, CRITERION_STATES[state]].map(write),
    ),
    numbers: [false, false, false, false],
  }
}

/** The criteria side by side, the figures that they are judged by, and how often a lot that is short passes. */
export function criteriaBlocks(study: ClaimStudy, control: Control, write: Writer): readonly Block[] {
  const { result, operating } = control
  const { content } = result
  const nameOf = (index: number) => `row ${formatCount((study.reading.evidence.rows[index] ?? index) + 1)}`
  const toPass = toPassWords(content)
  return [
    { is: 'paragraph', text: write(planWords(content.controlPlan)) },
    criteriaTable('Criteria', criterionLines(content, nameOf), write),
    {
      is: 'facts',
      label: 'Figures of the control',
      rows: controlFigures(content).map(([name, figure]) => [name, write(figure)] as const),
    },
    ...(toPass ? [{ is: 'paragraph', text: write(toPass) } as const] : []),
    ...(operating ? operatingBlocks(operating, write) : []),
  ]
}

function operatingBlocks({ content }: NonNullable<Control['operating']>, write: Writer): readonly Block[] {
  if (!content.operating) return []
  return [
    {
      is: 'table',
      label: 'How often a lot passes',
      heads: OPERATING_HEADS,
      rows: operatingRows(content).map((row) => row.map(write)),
      numbers: [true, true, true, true],
    },
    { is: 'paragraph', text: write(operatingWords(content)), look: 'quiet' },
  ]
}

/** Every pack's error, with what the label says, −T and −2T. */
export function packsBlocks({ document, result }: Control, write: Writer): readonly Block[] {
  const line = packsLine(document, result)
  if (!line) return []
  const { drawing, each } = claimLine(
    {
      ...{ values: line.errors, shorts: line.shorts, estimate: line.mean, claimed: line.marks },
      ...{ boundWords: '', interval: `mean ${contentQuantity(result.content, line.mean)}` },
      unit: result.content.unit,
    },
    write,
  )
  const title =
    each > 1
      ? `Errors of the packs (each circle: up to ${write(formatCount(each))} packs)`
      : 'Errors of the packs'
  return [{ is: 'picture', drawing, title, description: write(line.description) }]
}
