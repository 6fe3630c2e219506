'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useId } from 'react'
import { Button, QuietButton } from '@/ui/Button'
import type { FilePreview } from '@/workers/sheetWorker'
import { FormatSentence } from './FormatSentence'
import { SheetPreview } from './SheetPreview'
import { WorkbookPart } from './WorkbookPart'
import { formatCount } from '@/words/figures'
import { type BringInState, type Choice, type OnBrought, useBringIn } from './useBringIn'

const HiddenInput = chakra('input', { base: { srOnly: true } })
const Line = chakra('p', { base: { color: 'quiet' } })
const Paste = chakra('textarea', {
  base: {
    width: '210px',
    height: '30px',
    padding: '4px 8px',
    resize: 'none',
    border: '1px dashed',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'transparent',
    overflow: 'hidden',
    _placeholder: { color: 'quiet', opacity: 1 },
  },
})

const KINDS = '.csv,.tsv,.txt,.xlsx,.ods,text/csv,text/tab-separated-values'

/** Brings a file, or rows pasted from a spreadsheet, into the case as a sample of its own. */
export function BringIn({ caseId, onBrought }: Readonly<{ caseId: string; onBrought: OnBrought }>) {
  const { state, open, change, takeIn, close, cancel } = useBringIn(caseId, onBrought)
  const inputId = useId()
  const choose = (chosen: File | null | undefined) => {
    if (chosen) open(chosen)
  }
  return (
    <Box
      marginTop="12px"
      _print={{ display: 'none' }}
      data-bringing={state.is}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault()
        choose(event.dataTransfer.files[0])
      }}
    >
      <Flex gap="12px" align="center" wrap="wrap">
        <HiddenInput
          id={inputId}
          type="file"
          accept={KINDS}
          aria-label="File to bring in"
          onChange={(event) => {
            choose(event.target.files?.[0])
            event.target.value = ''
          }}
        />
        <QuietButton type="button" onClick={() => document.getElementById(inputId)?.click()}>
          Bring in a file
        </QuietButton>
        <Line>drop one here, or</Line>
        <Paste
          aria-label="Rows to bring in"
          placeholder="paste rows of a spreadsheet"
          value=""
          onChange={({ target }) => choose(new File([target.value], 'pasted rows.tsv'))}
        />
      </Flex>
      <Progress state={state} onClose={close} onCancel={cancel} onAnswer={takeIn} />
      {state.is === 'shown' && (
        <Shown
          name={state.name}
          preview={state.preview}
          choice={state.choice}
          onChange={change}
          onTakeIn={() => void takeIn()}
          onClose={close}
        />
      )}
    </Box>
  )
}

/** The beginning of a file as it will be read, and how it is written, which can be changed. */
function Shown({
  name,
  preview,
  choice,
  onChange,
  onTakeIn,
  onClose,
}: Readonly<{
  name: string
  preview: FilePreview
  choice: Choice
  onChange: (choice: Choice) => void
  onTakeIn: () => void
  onClose: () => void
}>) {
  const { workbook, view, format, doubts } = preview
  return (
    <Box marginTop="6px">
      {workbook && (
        <WorkbookPart
          shown={workbook}
          choice={choice.workbook ?? {}}
          onChange={(part) => onChange({ workbook: part })}
        />
      )}
      {view.ok ? (
        <>
          <Line>The first rows of {name}, as they will be read:</Line>
          <SheetPreview
            view={view.value}
            taken={choice.columns}
            onTake={(columns) => onChange({ columns })}
          />
        </>
      ) : (
        <Box role="alert" color="finding.contradicted">
          {name} can’t be taken in so. {view.problem.message}
        </Box>
      )}
      {view.ok && (
        <chakra.label display="block" marginBlock="6px">
          <input
            type="checkbox"
            checked={choice.isKept !== false}
            onChange={({ target }) => onChange({ columns: choice.columns, isKept: target.checked })}
          />{' '}
          Keep the file itself too, so that it can be had again as it was handed in
        </chakra.label>
      )}
      {workbook?.part.rowCount !== 0 && (
        <FormatSentence
          format={format}
          isWorkbook={workbook !== undefined}
          onChange={(changed) => onChange({ format: changed })}
        />
      )}
      {doubts.map(({ about, example }) => (
        <Box key={about} color="warning" role="alert">
          {about === 'thousands'
            ? `“${example}” can be read in two ways: with a decimal mark, or with thousands. Say above which it is.`
            : `“${example}” can be read with the day first or with the month first. Say above which it is.`}
        </Box>
      ))}
      <Flex gap="12px" marginTop="8px">
        {view.ok && (workbook?.askedRows ?? 0) === 0 && (
          <Button type="button" onClick={onTakeIn}>
            Take it in
          </Button>
        )}
        <QuietButton type="button" onClick={onClose}>
          Cancel
        </QuietButton>
      </Flex>
    </Box>
  )
}

function Progress({
  state,
  onClose,
  onCancel,
  onAnswer,
}: Readonly<{
  state: BringInState
  onClose: () => void
  onCancel: () => Promise<void>
  onAnswer: (words: readonly string[]) => void
}>) {
  switch (state.is) {
    case 'opening':
      return <Line role="status">Opening {state.name}…</Line>
    case 'taken-in':
      return (
        <Flex gap="12px" align="center" marginTop="8px">
          <Line role="status">
            {state.sent < 1
              ? `Sending ${state.name}: ${Math.floor(state.sent * 100)} %`
              : `Taking in ${state.name}: ${formatCount(state.rows)} rows so far (${Math.round(state.share * 100)} %)`}
          </Line>
          <QuietButton type="button" onClick={() => void onCancel()}>
            Cancel
          </QuietButton>
        </Flex>
      )
    case 'asked':
      return (
        <Box role="alert" marginTop="8px">
          {state.words.map(({ column, word, count: times }) => (
            <Line key={`${column} ${word}`}>
              “{word}” stands {times === 1 ? 'once' : `${formatCount(times)} times`} among the numbers of “
              {column}
              ”.
            </Line>
          ))}
          Does it mean that nothing was measured there?
          <Flex gap="12px" marginTop="6px">
            <Button type="button" onClick={() => onAnswer(state.words.map(({ word }) => word))}>
              Yes: count them as missing
            </Button>
            <QuietButton type="button" onClick={() => onAnswer([])}>
              No: take the column as texts
            </QuietButton>
            <QuietButton type="button" onClick={onClose}>
              Cancel
            </QuietButton>
          </Flex>
        </Box>
      )
    case 'refused':
      return (
        <Box role="alert" marginTop="8px" color="finding.contradicted">
          {state.name} is not taken in. {state.problem.message}
        </Box>
      )
    case 'cancelled':
      return <Line role="status">{state.name} is not taken in: nothing of it was stored.</Line>
    case 'too-late':
      return (
        <Line role="status">
          {state.name} had been taken in before it could be cancelled. It is among the samples of the case,
          and can be discarded there.
        </Line>
      )
    case 'cancel-unknown':
      return (
        <Line role="status">
          The server does not say whether {state.name} was taken in. Look at the samples of the case.
        </Line>
      )
    default:
      return null
  }
}
