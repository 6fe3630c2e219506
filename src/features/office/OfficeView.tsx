'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Outcome } from '@/claims/terms/outcome'
import { OFFICE_LENGTH } from '@/desk/caseWords'
import { EMPTY_OFFICE, type Office, type OfficeNow } from '@/desk/office'
import { instantWords } from '@/words/en/trailWords'
import { Button, QuietButton } from '@/ui/Button'
import { FileButton } from '@/ui/FileButton'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { outcomeOf } from '@/ui/saving/fetchOutcome'
import { TextArea, TextBox } from '@/ui/TextBox'
import { save, takeTemplateAway } from './actions'

const Label = chakra('label', { base: { display: 'block', color: 'quiet', marginTop: '14px' } })

/** What the office says of itself: each new case takes it over, and its reports say it. */
export function OfficeView({ known }: Readonly<{ known: OfficeNow | undefined }>) {
  const { office, authorisedBy } = known ?? EMPTY_OFFICE
  const [words, setWords] = useState<Office>({ office, authorisedBy })
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
          aria-label="Name and address"
          maxLength={OFFICE_LENGTH}
          value={words.office}
          onChange={({ target }) => change({ office: target.value })}
        />
      </Label>
      <Label>
        Reports are authorised by
        <TextBox
          aria-label="Reports are authorised by"
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
      <Template isThere={known?.hasTemplate === true} />
      {known && (
        <Box color="quiet" fontSize="13px" marginTop="10px">
          As of {instantWords(known.changedAt)}
          {known.changedBy && `, by ${known.changedBy}`}.
        </Box>
      )}
    </Main>
  )
}

/** A file of the office's own whose styles the DOCX files of reports take. */
function Template({ isThere }: Readonly<{ isThere: boolean }>) {
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const say = (outcome: Outcome<undefined> | undefined) => {
    setProblem(outcome?.ok ? '' : (outcome?.problem.message ?? 'The server does not answer. Try it again.'))
    if (outcome?.ok) router.refresh()
  }
  const give = async (body: File) => {
    const address = `/api/office/template?${new URLSearchParams({ by: officerHere() }).toString()}`
    const headers = { 'Content-Type': 'application/octet-stream' }
    say(await outcomeOf(fetch(address, { method: 'PUT', headers, body })))
  }
  return (
    <Box as="section" marginTop="28px" aria-label="Template of DOCX reports">
      <Box as="h2" fontSize="14px" fontWeight="600" color="quiet">
        Template of DOCX reports
      </Box>
      <Box as="p" marginBlock="6px">
        {isThere
          ? 'Reports as DOCX take the styles of the template that was given.'
          : 'Take a report away as DOCX, change its styles (Heading 1 to 3, Report text, Report cell and so on), and give it here: from then on every report as DOCX takes them.'}
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap">
        <FileButton label="Template" accept=".docx,.dotx" onFile={(file) => void give(file)}>
          {isThere ? 'Give another template' : 'Give a template'}
        </FileButton>
        {isThere && (
          <QuietButton type="button" onClick={() => void takeTemplateAway(officerHere()).then(say)}>
            Remove the template
          </QuietButton>
        )}
      </Box>
      {problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </Box>
  )
}
