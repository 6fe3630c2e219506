'use client'

import { Box } from '@chakra-ui/react/box'
import { useMemo } from 'react'
import { dateText } from '@/intake/reading/date'
import type { Way } from '@/intake/reading/ways'
import { questionOf, withSaid } from '@/intake/sayings'
import { asSheet } from '@/intake/sheet/typedEdit'
import { formatCount } from '@/words/figures'
import { ruleWords } from '@/words/en/entryWords'
import { QuietButton } from '../Button'
import type { Source } from './WorkbenchProvider'

/** What is to be asked of the entries of a source that are not read, and the sheet that they may be. */
export function useQuestion({ sample, evidence }: Source) {
  const { draft, typed } = sample
  const { unread } = evidence
  return useMemo(() => {
    const rows = unread.filter(({ reason }) => reason === 'several-columns')
    const sheet = rows.length > 0 ? asSheet(draft) : undefined
    return { question: questionOf(draft, typed, sheet ? rows : unread), sheet }
  }, [draft, typed, unread])
}

/** How entries that are not read can be read: one click says so for all such, and can be undone. */
export function UnreadQuestion({ source }: Readonly<{ source: Source }>) {
  const { question, sheet } = useQuestion(source)
  const { draft, setFields } = source.sample
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
  if (rules.at(-1)?.rule === 'dates') return `as ${dateText(value!)}`
  const more = rules.slice(known)
  if (more.some(({ rule }) => rule === 'limits')) return `as a limit: ${value} itself was not measured`
  const units = more.filter(({ rule }) => rule === 'unit')
  return [`as ${value}`, ...units.map(ruleWords)].join(', ')
}
