import { defaultBurden } from '@/claims/terms/relations'
import { BURDEN_WORDS } from '@/words/en/relations'
import { claimTitle } from '@/words/en/claimTitle'
import { CONDITION_NAMES, conditionLines, conditionStateWords, SOURCE_WORDS } from '@/words/en/conditionWords'
import { formatFull, formatPercent, formatSure } from '@/words/figures'
import { hypothesisReason, hypothesisSymbols, kindOfTest } from '@/words/en/hypothesisWords'
import { methodOf } from '@/claims/all'
import { distributionWords, METHOD_WORDS } from '@/words/en/methods'
import { LEVEL_HEADS, levelTable, LEVELS_NOTE } from '@/words/en/levelTable'
import { sampleLines } from '@/words/en/sampleLines'
import { testLines } from '@/words/en/testLines'
import { wayWords } from '@/words/en/waysWords'
import type { Block, Part } from './document/document'
import { criteriaBlocks, packsBlocks } from './controlBlocks'
import { crossBlocks } from './crossBlocks'
import type { Writer } from './language'
import type { PartName, ReportOptions } from '@/desk/reportOptions'
import { sampleBlocks } from './sampleBlocks'
import type { ClaimStudy } from './study'
import { groupBlocks } from './groupBlocks'
import { findingBlocks } from './findingBlocks'
import { pictureBlocks } from './pictureBlocks'

type Checked = NonNullable<ClaimStudy['checked']>

/**
 * Everything that a report says of one claim: the finding first, then what it rests on.
 *
 * @param first - what stands first, where that is not what was signed and what stands now
 */
export function claimParts(
  study: ClaimStudy,
  options: ReportOptions,
  write: Writer,
  first = findingBlocks(study, write),
): readonly Part[] {
  const { number, claim, checked } = study
  const title = `Claim ${number}: ${write(claimTitle(claim.draft))}`
  const head: Part = { id: `claim-${number}`, title, level: 2, blocks: first }
  const part = (name: PartName, title: string, blocks: readonly Block[]): readonly Part[] =>
    options.parts.includes(name) && blocks.length > 0
      ? [
          {
            id: `claim-${number}-${title === 'Lots' ? 'lots' : name}`,
            title: `${title}, claim ${number}`,
            level: 3,
            blocks,
          },
        ]
      : []
  const { control } = study
  const many = [
    ...part('groups', 'Group by group', manyBlocks(study, 'groups', write)),
    ...part('groups', 'Lots', manyBlocks(study, 'lots', write)),
  ]
  if (control)
    return [
      head,
      ...part('sample', 'Sample', sampleBlocks(study, write, options.unstated)),
      ...part('conditions', 'Conditions', conditionBlocks(study, control.result.conditions, write)),
      ...part('pictures', 'Pictures', packsBlocks(control, write)),
      ...part('test', 'Criteria', criteriaBlocks(study, control, write)),
      ...many,
    ]
  if (!checked)
    return [
      head,
      ...many,
      ...(study.census ? part('sample', 'Sample', sampleBlocks(study, write, options.unstated)) : []),
    ]
  return [
    head,
    ...part('hypotheses', 'Hypotheses', hypothesisBlocks(checked, write)),
    ...part('sample', 'Sample', sampleBlocks(study, write, options.unstated)),
    ...part('conditions', 'Conditions', conditionBlocks(study, checked.result.conditions, write)),
    ...part('pictures', 'Pictures', pictureBlocks(study, checked, write)),
    ...part('test', 'Test', testBlocks(study, checked, write)),
    ...part('cross-examination', 'Cross-examination', crossBlocks(study, checked, write)),
    ...many,
  ]
}

/** The claim held against groups or lots, or why it can’t be. */
function manyBlocks(study: ClaimStudy, what: 'groups' | 'lots', write: Writer): readonly Block[] {
  const { groups, lots } = study
  const compared = what === 'groups' ? groups : lots
  if (!compared) return []
  if (!compared.ok) return [{ is: 'paragraph', text: write(compared.problem.message) }]
  const lines = 'lots' in compared.value ? compared.value.lots : compared.value.groups
  const leftOut = 'leftOut' in compared.value ? compared.value.leftOut : []
  const { between } = compared.value
  return [
    ...groupBlocks(study, { lines, ...(between ? { between } : {}) }, { what, write }),
    ...leftOut.map(
      ({ label, why }) => ({ is: 'paragraph', text: write(`${label} is not among them: ${why}`) }) as const,
    ),
  ]
}

function hypothesisBlocks({ document, result }: Checked, write: Writer): readonly Block[] {
  const { claim } = document
  const { hypotheses, test, interval } = result
  const burden = claim.burden ?? defaultBurden(claim.relation)
  const rows = [
    ['Null hypothesis H₀', hypothesisSymbols(hypotheses.null, claim.unit)],
    ['Alternative hypothesis H₁', hypothesisSymbols(hypotheses.alternative, claim.unit)],
    ['Kind of test', kindOfTest(hypotheses)],
    ['Burden', `the claim ${BURDEN_WORDS[burden]}`],
    [
      'Significance level α',
      `${formatFull(test.significanceLevel)} (${formatPercent(test.significanceLevel)})`,
    ],
    ...(interval ? [['Confidence level', formatPercent(interval.level)] as const] : []),
  ] as const
  return [
    { is: 'facts', label: 'Hypotheses', rows: rows.map(([name, value]) => [name, write(value)] as const) },
    { is: 'paragraph', text: write(hypothesisReason(claim, hypotheses)) },
  ]
}

function conditionBlocks(
  { formats }: ClaimStudy,
  conditions: Checked['result']['conditions'],
  write: Writer,
): readonly Block[] {
  const rows = conditions.map((condition) => {
    const { name, of, sentence } = condition
    const figures = conditionLines(condition, formats.plain).map((line) => `${line.name} ${line.shown}`)
    return [
      `${CONDITION_NAMES[name]}${of ? `, ${SOURCE_WORDS[of]}` : ''}`,
      conditionStateWords(condition),
      write(sentence),
      write(figures.join('; ')),
    ]
  })
  const heads = ['Condition', 'State', 'What follows', 'Figures']
  return rows.length === 0
    ? []
    : [{ is: 'table', label: 'Conditions', heads, rows, numbers: [false, false, false, false] }]
}

function testBlocks(study: ClaimStudy, { result }: Checked, write: Writer): readonly Block[] {
  const { formats, claim, decimals } = study
  const { test, hypotheses } = result
  const chosen = { unit: claim.draft.unit, exposureUnit: claim.draft.exposureUnit, chosen: decimals }
  const lines = [...sampleLines(result, formats, chosen), ...testLines(result, formats)]
  const ways = test.ways.map((way) => {
    const words = wayWords(way, hypotheses, { ...formats, statistic: methodOf(test.method).symbol })
    return write(`${words}: ${way.rejects ? 'rejects' : 'does not reject'} the null hypothesis`)
  })
  const decision = test.decision === 'rejected' ? 'rejected' : 'not rejected'
  return [
    { is: 'paragraph', text: METHOD_WORDS[test.method].reason },
    {
      is: 'paragraph',
      text: write(`${methodOf(test.method).formula}, ${distributionWords(test)}`),
    },
    {
      is: 'table',
      label: `Figures of the ${METHOD_WORDS[test.method].name}`,
      heads: ['Figure', 'As shown', 'To ten digits'],
      rows: lines.map(({ name, shown, full }) => [name, write(shown), write(formatSure(full))]),
      numbers: [false, true, true],
    },
    ...levelBlocks(levelTable(result, formats), write),
    { is: 'paragraph', text: `Decision: the null hypothesis is ${decision}.` },
    { is: 'list', items: ways },
  ]
}

/** Two levels side by side, where a second one is asked for. */
function levelBlocks(rows: readonly (readonly string[])[], write: Writer): readonly Block[] {
  if (rows.length === 0) return []
  return [
    {
      is: 'table',
      label: 'Two levels side by side',
      heads: LEVEL_HEADS,
      rows: rows.map((row) => row.map(write)),
      numbers: [true, true, true, true, false, false],
    },
    { is: 'paragraph', text: LEVELS_NOTE, look: 'quiet' },
  ]
}
