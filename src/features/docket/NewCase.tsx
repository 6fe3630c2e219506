'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useState, useTransition } from 'react'
import { Button } from '@/ui/Button'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { TextBox } from '@/ui/TextBox'
import { TextLink } from '@/ui/TextLink'
import { openNewCase } from './actions'
import { Main } from '@/ui/Main'

const FIELDS = [
  ['subject', 'Subject', 'what is being checked', 500],
  ['party', 'Party', 'who makes the claims', 500],
  ['reference', 'Reference', 'number or name of the case', 100],
] as const
const EMPTY = { subject: '', party: '', reference: '' }
const Label = chakra('label', { base: { display: 'grid', gap: '2px', color: 'quiet', maxWidth: '480px' } })

/** A case before it is opened: nothing is stored until something is written and the case is opened. */
export function NewCase() {
  const [words, setWords] = useState(EMPTY)
  const [problem, setProblem] = useState('')
  const [isOpening, start] = useTransition()
  const isEmpty = Object.values(words).every((text) => text.trim() === '')
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>A new case</PageTitle>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (!isEmpty) start(async () => setProblem((await openNewCase(words, officerHere())).message))
        }}
      >
        <Box display="grid" gap="14px" marginBlock="18px">
          {FIELDS.map(([field, name, example, maxLength], at) => (
            <Label key={field}>
              {name}
              <TextBox
                color="ink"
                aria-label={name}
                autoFocus={at === 0}
                maxLength={maxLength}
                placeholder={example}
                value={words[field]}
                onChange={({ target }) => setWords((known) => ({ ...known, [field]: target.value }))}
              />
            </Label>
          ))}
        </Box>
        {problem && (
          <Box role="alert" color="finding.contradicted" marginBottom="10px">
            {problem}
          </Box>
        )}
        <Flex gap="14px" align="center">
          <Button type="submit" disabled={isEmpty || isOpening}>
            Open the case
          </Button>
          <TextLink href="/" color="accent">
            Back to the docket
          </TextLink>
        </Flex>
      </form>
    </Main>
  )
}
