'use client'

import { Box } from '@chakra-ui/react/box'
import { methodChoices } from '@/claims/methodChoices'
import { methodOf, methodsFor, parameterOf } from '@/claims/all'
import type { MethodOption } from '@/claims/terms/definition'
import type { Method, Parameter } from '@/claims/terms/names'
import { lotSizeOf } from '@/claims/terms/sample'
import { METHOD_WORDS, NEED_WORDS } from '@/words/en/methods'
import { INTERVAL_NAMES, SIDES_WORDS, TWO_SIDED_WORDS } from '@/words/en/optionWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const ALLOWING = { no: 'not allowing', yes: 'allowing' } as const
const YES_NO = { no: 'without', yes: 'with' } as const

/** The method, the others that could be used and what those that could not would need, and the choices that each leaves. */
export function MethodChoice() {
  const { draft, setField, checked } = useWorkbench()
  const own = methodsFor(draft.parameter)
  const used = checked?.result.test.method
  const usual =
    draft.method === 'auto' && used ? `the usual test, the ${METHOD_WORDS[used].name}` : 'the usual test'
  const words = {
    auto: usual,
    ...Object.fromEntries(own.map((method) => [method, `the ${METHOD_WORDS[method].name}`])),
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
    .map(({ method }) => `the ${METHOD_WORDS[method].name}`)
  const lacking = others.flatMap(({ method, needs }) =>
    needs ? [`the ${METHOD_WORDS[method].name} ${NEED_WORDS[needs]}`] : [],
  )
  return (
    <Box as="span" color="quiet">
      {usable.length > 0 && `Could also be used: ${usable.join(', ')}. `}
      {lacking.length > 0 && `Not here: ${lacking.join('; ')}.`}
    </Box>
  )
}

/** The intervals of a parameter by their names. */
function intervalWords(parameter: Parameter): typeof INTERVAL_NAMES {
  const names = ['auto', ...parameterOf(parameter).intervals] as const
  return Object.fromEntries(names.map((name) => [name, INTERVAL_NAMES[name]])) as typeof INTERVAL_NAMES
}

/** What a method leaves to choose. */
function Options() {
  const { draft, setField, checked } = useWorkbench()
  const method = checked?.result.test.method
  const options = method ? methodOf(method).options : []
  const isIntervalChosen = !method || methodOf(method).interval !== 'own'
  return (
    <div>
      Interval:{' '}
      <InlineChoice
        label="Ends of the interval"
        value={draft.intervalSides === 'auto' ? 'two-sided' : draft.intervalSides}
        words={SIDES_WORDS}
        onChange={(sides) => setField('intervalSides', sides === 'two-sided' ? 'auto' : sides)}
      />
      {parameterOf(draft.parameter).intervals.length > 0 && isIntervalChosen && (
        <>
          {' by '}
          <InlineChoice
            label="Interval"
            value={draft.interval}
            words={intervalWords(draft.parameter)}
            onChange={(interval) => setField('interval', interval)}
          />
        </>
      )}
      {options.includes('continuityCorrection') && (
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
      <Allowances options={options} />
      {options.includes('midP') && (
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

/** What the standard error of a mean can allow for. */
function Allowances({ options }: Readonly<{ options: readonly MethodOption[] }>) {
  const { draft, setField, checked } = useWorkbench()
  const hasLot = checked !== undefined && lotSizeOf(checked.document.evidence) !== undefined
  return (
    <>
      {options.includes('finiteLot') && hasLot && (
        <>
          {' · '}
          <InlineChoice
            label="Whether the size of the lot is allowed for"
            value={draft.finiteLot ? 'yes' : 'no'}
            words={ALLOWING}
            onChange={(word) => setField('finiteLot', word === 'yes')}
          />{' '}
          for the size of the lot
        </>
      )}
      {(options.includes('allowForMeasurement') || draft.allowForMeasurement) && (
        <>
          {' · '}
          <InlineChoice
            label="Whether the uncertainty of the measurement is allowed for"
            value={draft.allowForMeasurement ? 'yes' : 'no'}
            words={ALLOWING}
            onChange={(word) => setField('allowForMeasurement', word === 'yes')}
          />{' '}
          for the uncertainty of the measurement
        </>
      )}
    </>
  )
}
