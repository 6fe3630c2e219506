'use client'

import { methodOf } from '@/claims/all'
import { drawOf } from '@/intake/lockPlan'
import { formatFull } from '@/words/figures'
import { aGap, foundGap, powerWords, statedGap, unitsWords } from '@/words/en/planWords'
import { SeededUnits } from '@/ui/DrawnUnits'
import { gapFound, type Planning, powerToFind } from '@/workers/planning'

/** What the sample costs, and which units of the lot it takes. */
export function CostAndDraw({
  planning,
  ...seeded
}: Readonly<{ planning: Planning; seed: string; onSeed: (seed: string) => void }>) {
  return (
    <>
      <Cost planning={planning} />
      <Drawn planning={planning} {...seeded} />
    </>
  )
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
