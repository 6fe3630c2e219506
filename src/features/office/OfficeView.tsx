'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useRouter } from 'next/navigation'
import { type ReactNode, useState } from 'react'
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
import { save, takeFileAway } from './actions'

const Label = chakra('label', { base: { display: 'block', color: 'quiet', marginTop: '14px' } })

/** What the office says of itself: each new case takes it over, and its reports say it. */
export function OfficeView({ known }: Readonly<{ known: OfficeNow | undefined }>) {
  const { office, authorisedBy, accreditation } = known ?? EMPTY_OFFICE
  const [words, setWords] = useState<Office>({ office, authorisedBy, accreditation })
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
        A case takes over these words on the day it is opened, and its reports say them. Words that are
        changed here afterwards leave the case as it was.
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
      <Label>
        Accreditation
        <TextArea
          aria-label="Accreditation"
          maxLength={OFFICE_LENGTH}
          placeholder="by whom, under which number, and for which work"
          value={words.accreditation}
          onChange={({ target }) => change({ accreditation: target.value })}
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
      <Mark mark={known?.mark} />
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

/** The picture above the title of every report. */
function Mark({ mark }: Pick<Partial<OfficeNow>, 'mark'>) {
  return (
    <OfficeFile
      {...{ title: 'Mark', name: 'mark', type: 'image/png', accept: '.png,image/png', isThere: !!mark }}
    >
      {mark ? (
        <chakra.img
          src={`data:image/png;base64,${mark.png}`}
          alt="Mark of the office"
          maxWidth="240px"
          maxHeight="72px"
          marginBlock="6px"
        />
      ) : (
        'A picture as PNG: from then on it stands above the title of every report that is made.'
      )}
    </OfficeFile>
  )
}

/** A file of the office's own whose styles the DOCX files of reports take. */
function Template({ isThere }: Readonly<{ isThere: boolean }>) {
  const type = 'application/octet-stream'
  return (
    <OfficeFile
      {...{ title: 'Template of DOCX reports', name: 'template', type, accept: '.docx,.dotx', isThere }}
    >
      {isThere
        ? 'Reports as DOCX take the styles of the template that was given.'
        : 'Take a report away as DOCX, change its styles (Heading 1 to 3, Report text, Report cell and so on), and give it here: from then on every report as DOCX takes them.'}
    </OfficeFile>
  )
}

/** A file that the office gives for its reports: what it is, and where it is given or removed. */
function OfficeFile({
  title,
  name,
  type,
  accept,
  isThere,
  children,
}: Readonly<{
  title: string
  name: 'mark' | 'template'
  /** As which it is sent. */
  type: string
  accept: string
  isThere: boolean
  children: ReactNode
}>) {
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const say = (outcome: Outcome<undefined> | undefined) => {
    setProblem(outcome?.ok ? '' : (outcome?.problem.message ?? 'The server does not answer. Try it again.'))
    if (outcome?.ok) router.refresh()
  }
  const give = async (body: File) => {
    const address = `/api/office/${name}?${new URLSearchParams({ by: officerHere() }).toString()}`
    say(await outcomeOf(fetch(address, { method: 'PUT', headers: { 'Content-Type': type }, body })))
  }
  return (
    <Box as="section" marginTop="28px" aria-label={title}>
      <Box as="h2" fontSize="14px" fontWeight="600" color="quiet">
        {title}
      </Box>
      <Box marginBlock="6px">{children}</Box>
      <Box display="flex" gap="10px" flexWrap="wrap">
        <FileButton label={`File of the ${name}`} accept={accept} onFile={(file) => void give(file)}>
          {isThere ? `Give another ${name}` : `Give a ${name}`}
        </FileButton>
        {isThere && (
          <QuietButton type="button" onClick={() => void takeFileAway(name, officerHere()).then(say)}>
            Remove the {name}
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
