'use client'

import { Box } from '@chakra-ui/react/box'
import { useId } from 'react'
import { readDay } from '@/intake/reading/day'
import { QuietButton } from './Button'
import { InlineText } from './inline/InlineText'

/** A day of a sentence, typed in place; one that is none, or may be two, is asked about where it is typed. */
export function InlineDay(
  props: Readonly<{ label: string; value: string; placeholder: string; onChange: (value: string) => void }>,
) {
  const { value, onChange } = props
  const id = useId()
  const reading = readDay(value)
  const asked = reading?.ok === false ? reading : undefined
  return (
    <>
      <InlineText {...props} isInvalid={asked !== undefined} {...(asked ? { describedBy: id } : {})} />
      {asked && (
        <>
          {' '}
          <Box as="span" id={id} role="alert" color="finding.contradicted">
            {asked.message}
          </Box>
          {asked.wouldDo.map((day) => (
            <QuietButton key={day} type="button" marginLeft="8px" onClick={() => onChange(day)}>
              Write {day}
            </QuietButton>
          ))}
        </>
      )}
    </>
  )
}
