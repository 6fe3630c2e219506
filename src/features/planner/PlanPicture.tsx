'use client'

import { Box } from '@chakra-ui/react/box'
import { useMemo, useState } from 'react'
import type { PlanDraft } from '@/desk/planDraft'
import { foundGap, aGap, powerWords, typedGap, typedNumber, unitsWords } from '@/words/en/planWords'
import { parameterOf } from '@/claims/all'
import { displayOf } from '@/words/display'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { type PowerCurve, PowerChart } from '@/ui/charts/PowerChart'
import { curveOverGap, curveOverUnits, type Found, type Planning, powerToFind } from '@/workers/planning'
import type { PlanChange } from './PlanSentence'

const OVER = { units: 'the units taken', gap: 'the gap' } as const
type Over = keyof typeof OVER
/** As many as a hand can mean. */
const PULLED_DIGITS = 3

/** The power of the sample over its units, or over the gap; either is pulled. */
export function PlanPicture({
  draft,
  planning,
  onChange,
  onClaim,
}: Readonly<{
  draft: PlanDraft
  planning: Planning
  onChange: (part: Partial<PlanDraft>) => void
  onClaim: (part: PlanChange) => void
}>) {
  const [over, setOver] = useState<Over>('units')
  const found = planning.claims[0]?.found
  const n = planning.units ?? found?.n
  const wanted = draft.wanted === 'power' ? undefined : planning.claims[0]?.read.power
  const curve = useMemo(
    () => (found && n !== undefined ? curveOf(found, n, over, wanted) : undefined),
    [found, n, over, wanted],
  )
  if (!found || n === undefined || !curve || curve.points.length < 2) return null
  const move = (x: number) => {
    const at = Math.min(curve.points.at(-1)!.x, Math.max(curve.points[0]!.x, x))
    if (over === 'gap')
      return onClaim({ gap: typedGap(found.claim, at / scaleOf(found), PULLED_DIGITS, draft.decimalMark) })
    const isFractional = found.claim.parameter === 'rate'
    onChange({
      wanted: 'power',
      units: isFractional ? typedNumber(at, PULLED_DIGITS, draft.decimalMark) : String(Math.round(at)),
    })
  }
  return (
    <Box marginBottom="10px">
      <PowerChart
        curve={curve}
        handle={over === 'units' ? 'Units taken' : 'Gap to be found'}
        description={`The power over ${OVER[over]}: ${curve.label}.`}
        onMove={move}
      />
      <Box color="quiet">
        Pull the point, or change a word. The power over{' '}
        <InlineChoice label="What the power is drawn over" value={over} words={OVER} onChange={setOver} />.
      </Box>
    </Box>
  )
}

function curveOf(found: Found, n: number, over: Over, wanted: number | undefined): PowerCurve {
  const power = powerToFind(found, found.gap, n) ?? found.power
  if (over === 'units')
    return {
      ...{ points: curveOverUnits(found, n), at: { x: n, y: power }, unit: 'units', wanted },
      label: `${unitsWords(found.method, found.claim, n)}: ${powerWords(power)}`,
      step: found.claim.parameter === 'rate' ? n / 100 : 1,
    }
  const scale = scaleOf(found)
  return {
    ...{ at: { x: found.gap * scale, y: power }, unit: unitOfGap(found), wanted },
    points: curveOverGap(found, n).map(({ x, y }) => ({ x: x * scale, y })),
    label: `${aGap(found.hypotheses)} of ${foundGap(found.claim, found.gap)}: ${powerWords(power)}`,
    step: (found.gap * scale) / 50,
  }
}

/** Shares are drawn in percent. */
const scaleOf = ({ claim }: Found) => parameterOf(claim.parameter).scale
const unitOfGap = ({ claim }: Found) => displayOf(claim, 0).unit ?? ''
