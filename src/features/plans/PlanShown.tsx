'use client'

import { Box } from '@chakra-ui/react/box'
import { type ControlPlan, tolerableDeficiency } from '@/claims/terms/controlPlan'
import { planSource, planWords } from '@/words/en/contentWords'
import { formatFull } from '@/words/figures'
import { QuietButton } from '@/ui/Button'

/** Quantities whose tolerable deficiency shows how the table is read. */
const EXAMPLES = [50, 250, 500, 1000, 5000, 15_000]

/** A control plan in words. */
export function PlanShown({ plan, isRetired = false }: Readonly<{ plan: ControlPlan; isRetired?: boolean }>) {
  const examples = EXAMPLES.flatMap((nominal) => {
    const deficiency = tolerableDeficiency(plan, nominal)
    return deficiency === undefined ? [] : [`${formatFull(nominal)}: ${formatFull(deficiency)}`]
  })
  return (
    <>
      <Box as="h2" fontSize="16px" fontWeight="600">
        {plan.name}
        {isRetired && ' (no longer in use)'}
      </Box>
      <Box color={plan.isFromMemory ? 'warning' : 'quiet'}>{planSource(plan)}</Box>
      <Box as="p" marginTop="4px" maxWidth="84ch">
        {planWords(plan)}
      </Box>
      <Box color="quiet">T in g or mL by the label: {examples.join(' · ')}</Box>
    </>
  )
}

/** Saves a plan as JSON, which can be brought in again. */
export function ExportButton({ plan }: Readonly<{ plan: ControlPlan }>) {
  const save = () => {
    const address = URL.createObjectURL(
      new Blob([`${JSON.stringify(plan, null, 2)}\n`], { type: 'application/json' }),
    )
    const link = document.createElement('a')
    link.href = address
    link.download = `${plan.name.replaceAll(/[^\p{L}\p{N} -]/gu, '').trim() || 'control plan'}.json`
    link.click()
    URL.revokeObjectURL(address)
  }
  return (
    <QuietButton type="button" aria-label={`Export ${plan.name}`} onClick={save}>
      Export (JSON)
    </QuietButton>
  )
}
