'use client'

import { Box } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { Way } from '@/intake/reading/ways'
import { questionOf, withSaid } from '@/intake/sayings'
import { asSheet } from '@/intake/sheet/typedEdit'
import { formatCount } from '@/words/figures'
import { ruleWords } from '@/words/en/entryWords'
import { QuietButton } from '../Button'
import type { Source } from './WorkbenchProvider'

/** How entries that are not read can be read: one click says so for all such, and can be undone. */
export function UnreadQuestion({ source }: Readonly<{ source: Source }>) {
  const { sample, evidence } = source
  const { draft, typed, setFields } = sample
  const { unread } = evidence
  const { question, sheet } = useMemo(() => {
    const rows = unread.filter(({ reason }) => reason === 'several-columns')
    const made = rows.length > 0 ? asSheet(draft) : undefined
    return { question: questionOf(draft, typed, made ? rows : unread), sheet: made }
  }, [draft, typed, unread])
  if (!question && !sheet) return null
  return (
    <Box role="group" aria-label="How the entries are to be read" marginTop="6px">
      {sheet ? (
        <>Its lines have {sheet.columns.length} entries each.</>
      ) : (
        <>“{question!.entry.text.slice(0, 40)}” can be read so:</>
      )}
      <Box display="flex" gap="6px 8px" flexWrap="wrap" marginTop="4px">
        {sheet && (
          <QuietButton type="button" onClick={() => setFields(sheet)}>
            A sheet of {sheet.columns.length} columns
          </QuietButton>
        )}
        {question?.ways.map((way) => (
          <QuietButton
            key={way.values.join()}
            type="button"
            onClick={() => setFields(withSaid(draft, question.entry.column, way))}
          >
            {wayWords(
              way,
              draft.columns.find(({ name }) => name === question.entry.column)?.readAs?.length ?? 0,
            )}
            {way.count > 1 && `: read all ${formatCount(way.count)} such so`}
          </QuietButton>
        ))}
      </Box>
    </Box>
  )
}

/** What a way comes to, and what is said with it. */
function wayWords({ values, rules }: Way, known: number): string {
  const [value] = values
  if (values.length > 1) return `${values.length} readings, ${values.slice(0, 4).join(' and ')}`
  if (Number.isNaN(value)) return 'nothing was measured there'
  const units = rules.slice(known).filter(({ rule }) => rule === 'unit')
  return [`as ${value}`, ...units.map(ruleWords)].join(', ')
}
