'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useState } from 'react'
import { EMPTY_INSTRUMENT, type Instrument, type RegisteredInstrument } from '@/desk/instrument'
import { readDay } from '@/intake/reading/day'
import { INSTRUMENT_FIELDS } from '@/words/en/instrumentWords'
import { instantWords } from '@/words/en/trailWords'
import { Button, QuietButton } from '@/ui/Button'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { TextBox } from '@/ui/TextBox'
import { save } from './actions'

const Label = chakra('label', { base: { display: 'block', color: 'quiet', fontSize: '13px' } })
const Item = chakra('li', {
  base: { borderTop: '1px solid', borderColor: 'rule', paddingBlock: '10px', _first: { borderTop: 0 } },
})

/** The office's register of instruments: what each shows, how uncertain it is and until when it is calibrated. */
export function InstrumentsView({ instruments }: Readonly<{ instruments: readonly RegisteredInstrument[] }>) {
  const [editing, setEditing] = useState<string>()
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Instruments</PageTitle>
      <Box as="p" marginTop="8px" maxWidth="72ch">
        A sample takes over what stands here on the day it is chosen; what is changed here afterwards leaves
        it as it was.
      </Box>
      <ul aria-label="Register of instruments">
        {instruments.map((own) => (
          <Item key={own.id}>
            {editing === own.id ? (
              <InstrumentForm own={own} id={own.id} onDone={() => setEditing(undefined)} />
            ) : (
              <Shown own={own} onEdit={() => setEditing(own.id)} />
            )}
          </Item>
        ))}
      </ul>
      {instruments.length === 0 && (
        <Box as="p" color="quiet" marginTop="12px">
          No instrument is on it yet.
        </Box>
      )}
      <Box marginTop="16px">
        {editing === '' ? (
          <InstrumentForm own={EMPTY_INSTRUMENT} onDone={() => setEditing(undefined)} />
        ) : (
          <QuietButton type="button" onClick={() => setEditing('')}>
            Enter an instrument
          </QuietButton>
        )}
      </Box>
    </Main>
  )
}

function Shown({ own, onEdit }: Readonly<{ own: RegisteredInstrument; onEdit: () => void }>) {
  const facts = INSTRUMENT_FIELDS.slice(1).flatMap(([field, name]) =>
    own[field].trim() === '' ? [] : [`${name.toLowerCase()} ${own[field]}`],
  )
  return (
    <>
      <Box as="h2" fontSize="16px" fontWeight="600">
        {own.name}
        {own.isRetired && ' (no longer in use)'}
      </Box>
      <p>{facts.join(' · ') || 'Nothing more is stated of it.'}</p>
      <Box color="quiet" fontSize="13px">
        As of {instantWords(own.changedAt)}
        {own.changedBy && `, by ${own.changedBy}`}.{' '}
        <QuietButton type="button" aria-label={`Change ${own.name}`} onClick={onEdit}>
          Change
        </QuietButton>
      </Box>
    </>
  )
}

function InstrumentForm({ own, id, onDone }: Readonly<{ own: Instrument; id?: string; onDone: () => void }>) {
  const [words, setWords] = useState<Instrument>(() => onlyWords(own))
  const [problem, setProblem] = useState<string>()
  const unread = (['calibratedOn', 'calibrationDue'] as const).map((field) => readDay(words[field]))
  const dayProblem = unread.find((day) => day?.ok === false)
  const store = async () => {
    const saved = await save({ ...(id ? { id } : {}), words, by: officerHere() })
    if (saved.ok) onDone()
    else setProblem(saved.problem.message)
  }
  return (
    <Box role="group" aria-label={id ? `Change ${own.name}` : 'A new instrument'}>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap="8px 16px">
        {INSTRUMENT_FIELDS.map(([field, name, example]) => (
          <Label key={field}>
            {name}
            <TextBox
              display="block"
              width="100%"
              color="ink"
              value={words[field]}
              placeholder={example}
              onChange={(event) => setWords({ ...words, [field]: event.target.value })}
            />
          </Label>
        ))}
      </Box>
      <Box as="label" display="flex" gap="8px" alignItems="center" marginTop="8px">
        <input
          type="checkbox"
          checked={words.isRetired}
          onChange={(event) => setWords({ ...words, isRetired: event.target.checked })}
        />
        No longer in use
      </Box>
      {(problem ?? (dayProblem?.ok === false ? dayProblem.message : undefined)) && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem ?? (dayProblem?.ok === false && dayProblem.message)}
        </Box>
      )}
      <Box display="flex" gap="10px" marginTop="10px">
        <Button type="button" onClick={() => void store()}>
          Keep it
        </Button>
        <QuietButton type="button" onClick={onDone}>
          Leave it as it was
        </QuietButton>
      </Box>
    </Box>
  )
}

/** Without who changed it last. */
function onlyWords(own: Instrument): Instrument {
  const fields = Object.keys(EMPTY_INSTRUMENT) as (keyof Instrument)[]
  return Object.fromEntries(fields.map((field) => [field, own[field]])) as Instrument
}
