'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { type RefObject, useEffect, useRef, useState } from 'react'
import { unitsNamed } from '@/claims/plan/draw'
import { beyondFences, tukeyFences } from '@/statistics/describe/fences'
import { quartilesOf } from '@/statistics/describe/quantile'
import { takenRows } from '@/intake/scale/rows'
import type { PlanOnTrail } from '@/desk/trail/planOnTrail'
import {
  FIRST_BY_HAND,
  NOT_TAKEN,
  nextWords,
  oddWords,
  shownWords,
  STANDING_WORDS,
  takenWithWords,
} from '@/words/en/scaleWords'
import { Button, QuietButton } from '@/ui/Button'
import { PageTitle } from '@/ui/PageTitle'
import { TextLink } from '@/ui/TextLink'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { Instrument, LineStatus } from './LineStatus'
import { TakenList } from './TakenList'
import { type Line, type Reading, useLine } from './useLine'
import { useTaking } from './useTaking'

const Large = chakra('output', {
  base: {
    display: 'block',
    fontFamily: 'mono',
    fontSize: { base: '44px', md: '76px' },
    lineHeight: '1.15',
    fontVariantNumeric: 'tabular-nums',
    '&[data-moving=true]': { color: 'quiet' },
  },
})

/** Readings taken one by one from an instrument, into the sample of a claim. */
export function ScaleView({
  claim,
  address,
  plan,
}: Readonly<{
  /** The claim in a line, and where it stands. */
  claim: string
  address: string
  plan: PlanOnTrail | undefined
}>) {
  const { first } = useWorkbench()
  const [isAutomatic, setAutomatic] = useState(false)
  const taking = useTaking()
  const units = plan?.plan.draw ? unitsNamed(plan.plan.draw) : []
  const taken = new Set(takenRows(first.sample.draft).map(({ unit }) => unit))
  const next = units.find((unit) => !taken.has(unit))
  const put = (reading: Reading, { tare, instrument }: Line) =>
    taking.take({
      ...{ text: reading.text, unitOfReading: reading.unit, unit: next ?? '' },
      tare: tare && tare.value !== 0 ? [tare.text, tare.unit].filter(Boolean).join(' ') : '',
      at: new Date().toISOString(),
      instrument: takenWithWords(first.sample.draft.instrument, instrument),
    })
  // What lies on it when the draw is done is no unit of it.
  const isOn = isAutomatic && (units.length === 0 || next !== undefined)
  const { line, take, listenTo } = useLine((reading, said) => isOn && put(reading, said))
  const onTake = () => {
    const { reading, standing } = line
    if (!reading || !standing) taking.complain(NOT_TAKEN.nothing)
    else if (standing !== 'new') taking.complain(NOT_TAKEN[standing])
    else if (put(reading, line)) take(reading)
  }
  const button = useEnter()
  return (
    <>
      <PageTitle>At the scale</PageTitle>
      <TextLink href={address} color="accent">
        {claim}
      </TextLink>
      <LineStatus line={line} />
      <Large aria-live="off" aria-label="What the instrument shows" data-moving={line.standing === 'moving'}>
        {line.reading ? shownWords(line.reading) : '—'}
      </Large>
      <Box color="quiet" data-testid="standing">
        {line.standing && STANDING_WORDS[line.standing]}
        {line.tare && line.tare.value !== 0 && ` · tare ${shownWords(line.tare)}`}
      </Box>
      {units.length > 0 && (
        <Box as="p" fontFamily="heading" fontSize="20px" marginTop="10px" data-testid="next">
          {nextWords(next, units.filter((unit) => taken.has(unit)).length, units.length)}
        </Box>
      )}
      <Flex gap="10px" wrap="wrap" marginTop="14px" align="center">
        <Button ref={button} type="button" onClick={onTake}>
          Take it (Enter)
        </Button>
        <QuietButton type="button" aria-pressed={isOn} onClick={() => setAutomatic(!isAutomatic)}>
          {isOn ? 'Taken as it stands still: on' : 'Take each as it stands still'}
        </QuietButton>
        <QuietButton type="button" disabled={!taking.takeBack} onClick={() => taking.takeBack?.()}>
          Take the last one back
        </QuietButton>
      </Flex>
      {isOn && !line.isSure && (
        <Box as="p" color="quiet" marginTop="6px">
          {FIRST_BY_HAND}
        </Box>
      )}
      <Box role="status" data-testid="said" marginTop="10px" minHeight="22px">
        {taking.said}
      </Box>
      {taking.problem && (
        <Box role="alert" color="finding.contradicted">
          {taking.problem}
        </Box>
      )}
      <Odd />
      <TakenList />
      <Instrument onListen={listenTo} onProblem={taking.complain} />
    </>
  )
}

/** A button that Enter presses, also when nothing is chosen: little else of the page is wanted while readings are taken. */
function useEnter(): RefObject<HTMLButtonElement | null> {
  const button = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    button.current?.focus()
    const onEnter = ({ key, target, repeat }: KeyboardEvent) => {
      if (key === 'Enter' && !repeat && target === document.body) button.current?.click()
    }
    document.addEventListener('keydown', onEnter)
    return () => document.removeEventListener('keydown', onEnter)
  }, [])
  return button
}

/** Of fewer readings the quartiles say little: common practice, without a source. */
const LEAST_FOR_FENCES = 8

/** Whether the last reading lies far from the others. */
function Odd() {
  const { evidence } = useWorkbench().first
  const { inUnit } = useFormats()
  const values = evidence.values ?? []
  const last = values.at(-1)
  if (last === undefined || values.length <= LEAST_FOR_FENCES) return null
  const others = values.slice(0, -1).toSorted((a, b) => a - b)
  const fences = tukeyFences(quartilesOf(others))
  if (beyondFences([last], fences).length === 0) return null
  return (
    <Box role="alert" color="warning" marginTop="6px" maxWidth="72ch">
      {oddWords(inUnit(last), inUnit(fences.low), inUnit(fences.high))}
    </Box>
  )
}
