'use client'

import { Box } from '@chakra-ui/react'
import { methodChoices } from '@/claims/methodNeeds'
import { METHODS_FOR } from '@/claims/procedureOf'
import type { Method } from '@/statistics/inference/procedure'
import { METHOD_NAMES } from '@/words/en/methodWords'
import { INTERVAL_NAMES, SIDES_WORDS, TWO_SIDED_WORDS } from '@/words/en/optionWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const YES_NO = { no: 'without', yes: 'with' } as const

/** The method, the others that could be used and what those that could not would need, and the choices that each leaves. */
export function MethodChoice() {
  const { draft, setField, checked } = useWorkbench()
  const own = METHODS_FOR[draft.parameter]
  const used = checked?.result.test.method
  const fitting =
    draft.method === 'auto' && used ? `the one that fits, the ${METHOD_NAMES[used]}` : 'the one that fits'
  const words = {
    auto: fitting,
    ...Object.fromEntries(own.map((method) => [method, `the ${METHOD_NAMES[method]}`])),
  }
  return (
    <Box lineHeight="1.9" role="group" aria-label="Method">
      Tested by{' '}
      <InlineChoice
        label="Method of the test"
        value={draft.method}
        words={words as Record<'auto' | Method, string>}
        onChange={(method) => setField('method', method)}
      />
      . <Others />
      <Options />
    </Box>
  )
}

function Others() {
  const { checked } = useWorkbench()
  if (!checked) return null
  const { document, result } = checked
  const others = methodChoices(document, result.hypotheses.alternativeSide).filter(
    ({ method }) => method !== result.test.method,
  )
  const usable = others
    .filter(({ needs }) => needs === undefined)
    .map(({ method }) => `the ${METHOD_NAMES[method]}`)
  const lacking = others.flatMap(({ method, needs }) =>
    needs ? [`the ${METHOD_NAMES[method]} ${needs}`] : [],
  )
  return (
    <Box as="span" color="quiet">
      {usable.length > 0 && `Could also be used: ${usable.join(', ')}. `}
      {lacking.length > 0 && `Not here: ${lacking.join('; ')}.`}
    </Box>
  )
}

/** What a method leaves to choose. */
function Options() {
  const { draft, setField, checked } = useWorkbench()
  const method = checked?.result.test.method
  const isShare = draft.parameter === 'proportion'
  const hasCorrection = method === 'score-z' || method === 'signed-rank'
  return (
    <div>
      Interval:{' '}
      <InlineChoice
        label="Ends of the interval"
        value={draft.intervalSides}
        words={SIDES_WORDS}
        onChange={(sides) => setField('intervalSides', sides)}
      />
      {isShare && (
        <>
          {' by '}
          <InlineChoice
            label="Interval"
            value={draft.interval}
            words={INTERVAL_NAMES}
            onChange={(interval) => setField('interval', interval)}
          />
        </>
      )}
      {hasCorrection && (
        <>
          {' · '}
          <InlineChoice
            label="Continuity correction"
            value={draft.continuityCorrection ? 'yes' : 'no'}
            words={YES_NO}
            onChange={(word) => setField('continuityCorrection', word === 'yes')}
          />{' '}
          continuity correction
        </>
      )}
      {method === 'exact-binomial' && (
        <>
          {' · '}
          <InlineChoice
            label="Mid-p"
            value={draft.midP ? 'yes' : 'no'}
            words={YES_NO}
            onChange={(word) => setField('midP', word === 'yes')}
          />{' '}
          mid-p
          {' · both tails by '}
          <InlineChoice
            label="Two-sided rule"
            value={draft.twoSidedRule}
            words={TWO_SIDED_WORDS}
            onChange={(rule) => setField('twoSidedRule', rule)}
          />
        </>
      )}
    </div>
  )
}
