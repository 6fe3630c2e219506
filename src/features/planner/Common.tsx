'use client'

import { Box, chakra } from '@chakra-ui/react'
import { methodOf } from '@/claims/all'
import type { PlanDraft } from '@/desk/planDraft'
import { drawOf } from '@/intake/lockPlan'
import type { DecimalMark } from '@/desk/typed'
import { formatFull } from '@/words/figures'
import { aGap, foundGap, powerWords, statedGap, unitsWords } from '@/words/en/planWords'
import { SeededUnits } from '@/ui/DrawnUnits'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { ProblemLines } from '@/ui/ProblemLines'
import { gapFound, type Planning, powerToFind } from '@/workers/planning'

const MARK_WORDS: Readonly<Record<DecimalMark, string>> = { point: 'decimal point', comma: 'decimal comma' }
const Line = chakra('p', { base: { lineHeight: '1.9' } })

/** The lot that is sampled, and what a unit costs. */
export function Common({
  draft,
  planning,
  onChange,
}: Readonly<{ draft: PlanDraft; planning: Planning; onChange: (part: Partial<PlanDraft>) => void }>) {
  const word = (field: 'lotSize' | 'layers' | 'unitCost' | 'budget', label: string, placeholder: string) => (
    <InlineText
      label={label}
      placeholder={placeholder}
      inputMode={field === 'layers' ? 'text' : 'decimal'}
      value={draft[field]}
      isInvalid={planning.common.problems.some((problem) => problem.field === field)}
      onChange={(text) => onChange({ [field]: text })}
    />
  )
  return (
    <Box as="section" aria-label="Lot and cost" borderTop="1px solid" borderColor="rule" paddingTop="12px">
      <Line>
        From a lot of {word('lotSize', 'Size of the lot', 'any number of')} units, drawn of{' '}
        {word('layers', 'Layers of the lot', 'the whole, or north = 400; south = 560')}; numbers with a{' '}
        <InlineChoice
          label="Decimal mark"
          value={draft.decimalMark}
          words={MARK_WORDS}
          onChange={(decimalMark) => onChange({ decimalMark })}
        />
        .
      </Line>
      <Line>
        A unit costs {word('unitCost', 'Cost of a unit', 'how much')} and{' '}
        {word('budget', 'Budget', 'how much')} can be spent.
      </Line>
      <ProblemLines problems={planning.common.problems} onWrite={onChange} />
      <Cost planning={planning} />
      <Drawn planning={planning} seed={draft.seed} onSeed={(seed) => onChange({ seed })} />
    </Box>
  )
}

/** Which units of the lot are taken, where there are units and a lot to take them of. */
function Drawn({
  planning,
  ...seeded
}: Readonly<{ planning: Planning; seed: string; onSeed: (seed: string) => void }>) {
  const { units, common } = planning
  const found = planning.claims.flatMap((one) => (one.found ? [one.found.claim] : []))
  // A seed that is none yet draws nothing, and is told of where it is typed.
  const draw = drawOf({ ...common, seed: common.seed ?? 0 }, found, units)
  return draw ? <SeededUnits draw={draw} noun="unit" {...seeded} /> : null
}

/** What the sample costs, and what the budget buys. */
function Cost({ planning }: Readonly<{ planning: Planning }>) {
  const { unitCost, budget } = planning.common
  const found = planning.claims[0]?.found
  const n = planning.units ?? found?.n
  if (!found || n === undefined || unitCost === undefined) return null
  const { method, claim, hypotheses } = found
  // Either of two sources is paid for.
  const times = methodOf(method).parameters.includes('variance-ratio') ? 2 : 1
  const cost = `${unitsWords(method, claim, n)} cost ${formatFull(Number((n * times * unitCost).toPrecision(12)))}.`
  if (budget === undefined) return <p>{cost}</p>
  const bought = Math.floor(Number((budget / unitCost / times).toPrecision(12)))
  const isEnough = bought >= methodOf(method).planning!.leastSize && bought >= 1
  const power = isEnough ? powerToFind(found, found.gap, bought) : undefined
  const wanted = planning.claims[0]?.read.power
  const gap = isEnough && wanted !== undefined ? gapFound(found, bought, wanted) : undefined
  const what = aGap(hypotheses)
  return (
    <p>
      {cost} The budget buys {unitsWords(method, claim, bought)}
      {power === undefined
        ? ', too few to find anything.'
        : `: they find ${what} of ${wanted === undefined ? foundGap(claim, found.gap) : statedGap(claim, found.gap)} with a power of ${powerWords(power)}${
            gap === undefined || wanted === undefined
              ? '.'
              : `, and one of ${foundGap(claim, gap)} with ${powerWords(wanted)}.`
          }`}
    </p>
  )
}
