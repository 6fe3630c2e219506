'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { OFFICE_LENGTH } from '@/desk/caseWords'
import type { Office } from '@/desk/office'
import { instantWords } from '@/words/en/trailWords'
import { Button } from '@/ui/Button'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { TextArea, TextBox } from '@/ui/TextBox'
import { save } from './actions'

const Label = chakra('label', { base: { display: 'block', color: 'quiet', marginTop: '14px' } })

/** What the office says of itself: each new case takes it over, and its reports say it. */
export function OfficeView({
  office,
  changed,
}: Readonly<{ office: Office; changed: Readonly<{ by: string; at: string }> | undefined }>) {
  const [words, setWords] = useState(office)
  const [said, setSaid] = useState<Readonly<{ isProblem: boolean; text: string }>>()
  const change = (part: Partial<Office>) => {
    setWords({ ...words, ...part })
    setSaid(undefined)
  }
  const store = async () => {
    const saved = await save({ words, by: officerHere() })
    setSaid(saved.ok ? { isProblem: false, text: 'Kept.' } : { isProblem: true, text: saved.problem.message })
  }
  return (
    <Main maxWidth="720px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Office</PageTitle>
      <Box as="p" marginTop="8px">
        A case takes over what stands here on the day it is opened, and its reports say it. What is changed
        here afterwards leaves the case as it was.
      </Box>
      <Label>
        Name and address
        <TextArea
          maxLength={OFFICE_LENGTH}
          value={words.office}
          onChange={({ target }) => change({ office: target.value })}
        />
      </Label>
      <Label>
        Reports are authorised by
        <TextBox
          display="block"
          width="100%"
          color="ink"
          maxLength={500}
          placeholder="name and function"
          value={words.authorisedBy}
          onChange={({ target }) => change({ authorisedBy: target.value })}
        />
      </Label>
      <Box display="flex" gap="14px" alignItems="center" marginTop="14px" flexWrap="wrap">
        <Button type="button" onClick={() => void store()}>
          Keep it
        </Button>
        <Box
          role={said?.isProblem ? 'alert' : 'status'}
          color={said?.isProblem ? 'finding.contradicted' : 'quiet'}
        >
          {said?.text}
        </Box>
      </Box>
      {changed && (
        <Box color="quiet" fontSize="13px" marginTop="10px">
          As of {instantWords(changed.at)}
          {changed.by && `, by ${changed.by}`}.
        </Box>
      )}
    </Main>
  )
}
