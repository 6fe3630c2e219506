'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { useId, useState } from 'react'
import { QuietButton } from '@/ui/Button'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { OpenSheet } from './OpenSheet'
import { useSheetFile } from './useSheetFile'

const HiddenInput = chakra('input', { base: { srOnly: true } })
const Line = chakra('p', { base: { color: 'quiet' } })

type Before = Readonly<{ readings: string; decimalMark: 'point' | 'comma'; words: string }>

/** Readings from a CSV or TSV file: looked at, narrowed down, and only then taken. */
export function SheetFile() {
  const { draft, setField } = useWorkbench()
  const { state, taken, open, reopen, take, close } = useSheetFile()
  const [before, setBefore] = useState<Before>()
  const inputId = useId()
  const choose = (chosen: File | null | undefined) => {
    if (chosen) open(chosen)
  }
  const takeOver = (values: readonly number[], words: string) => {
    setBefore({ readings: draft.readings, decimalMark: draft.decimalMark, words })
    setField('decimalMark', 'point')
    setField('readings', values.join('\n'))
    close()
  }
  const putBack = ({ readings, decimalMark }: Before) => {
    setField('decimalMark', decimalMark)
    setField('readings', readings)
    setBefore(undefined)
  }
  return (
    <Box
      marginTop="10px"
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
          accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values"
          aria-label="File to take readings from"
          onChange={(event) => {
            choose(event.target.files?.[0])
            event.target.value = ''
          }}
        />
        <QuietButton type="button" onClick={() => document.getElementById(inputId)?.click()}>
          Take readings from a CSV file
        </QuietButton>
        {state.is === 'none' && !before && <Line>or drop it here</Line>}
        {before && (
          <>
            <Line role="status">{before.words}</Line>
            <QuietButton type="button" onClick={() => putBack(before)}>
              Put back what stood there
            </QuietButton>
          </>
        )}
      </Flex>
      {state.is === 'reading' && (
        <Flex gap="12px" align="center" marginTop="8px">
          <Line role="status">
            Reading {state.name}: {state.rows.toLocaleString('en')} rows so far (
            {Math.round(state.share * 100)} %)
          </Line>
          <QuietButton type="button" onClick={close}>
            Cancel
          </QuietButton>
        </Flex>
      )}
      {state.is === 'refused' && (
        <Box role="alert" marginTop="8px" color="finding.contradicted">
          {state.name} is not taken. {state.problem.message}
        </Box>
      )}
      {state.is === 'open' && (
        <OpenSheet
          key={JSON.stringify(state.opened.format)}
          name={state.name}
          opened={state.opened}
          taken={taken}
          onFormat={reopen}
          onAsk={take}
          onTake={takeOver}
          onClose={close}
        />
      )}
    </Box>
  )
}
