'use client'

import { Flex } from '@chakra-ui/react/flex'
import { useEffect, useState } from 'react'
import { ofInstrument, type RegisteredInstrument } from '@/desk/instrument'
import { InlineChoice } from '../inline/InlineChoice'
import { TextLink } from '../TextLink'
import { useSample } from './SampleProvider'

/** What a sample was measured with, from the office's register: what stands there is taken over as it stands. */
export function InstrumentChoice() {
  const { setFields } = useSample()
  const [known, setKnown] = useState<readonly RegisteredInstrument[]>([])
  useEffect(() => {
    let isGone = false
    fetch('/api/instruments')
      .then((answer) => (answer.ok ? answer.json() : []))
      .then(
        (list: readonly RegisteredInstrument[]) => {
          if (!isGone) setKnown(list)
        },
        // Everything can be typed all the same.
        () => undefined,
      )
    return () => {
      isGone = true
    }
  }, [])
  const words = Object.fromEntries([
    ['', 'take one from the register'],
    ...known.map(({ id, name }) => [id, name]),
  ])
  return (
    <Flex as="span" display="inline-flex" gap="2px 12px" wrap="wrap" align="baseline">
      {known.length > 0 && (
        <InlineChoice
          label="Instrument from the register"
          value=""
          words={words}
          onChange={(id) => {
            const chosen = known.find((one) => one.id === id)
            if (chosen) setFields(ofInstrument(chosen))
          }}
        />
      )}
      <TextLink href="/instruments" color="accent" textDecoration="underline" lineHeight="26px">
        Register of instruments
      </TextLink>
    </Flex>
  )
}
