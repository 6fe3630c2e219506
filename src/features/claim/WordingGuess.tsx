'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { Relation } from '@/claims/terms/relations'
import { PARAMETER_NOUNS } from '@/words/en/parameters'
import { RELATION_WORDS } from '@/words/en/relations'
import { type Guess, readWording } from '@/intake/readWording'
import { QuietButton } from '@/ui/Button'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** What the claim's own wording seems to say, where the sentence says something else. It is applied only when asked for. */
export function WordingGuess() {
  const { draft, setFields } = useWorkbench()
  const guess = readWording(draft.wording, draft.decimalMark)
  const words = guess?.words ?? {}
  const isSaid = (Object.keys(words) as (keyof Guess['words'])[]).every(
    (field) => draft[field] === words[field],
  )
  if (!guess || isSaid) return null
  return (
    <Flex
      gap="12px"
      align="center"
      wrap="wrap"
      marginTop="8px"
      role="note"
      aria-label="Read from the wording"
    >
      <Box color="quiet">
        Its wording may mean: <b>{inWords(words)}</b>, from {guess.seen.map((one) => `“${one}”`).join(', ')}.
      </Box>
      <QuietButton
        type="button"
        onClick={() =>
          setFields({ ...words, ...(words.parameter === draft.parameter ? {} : { method: 'auto' }) })
        }
      >
        Use this reading
      </QuietButton>
    </Flex>
  )
}

function inWords(words: Guess['words']): string {
  const { parameter = 'mean', relation, claimedValue = '', toleranceBelow, toleranceAbove, unit = '' } = words
  const value = [claimedValue, unit].filter(Boolean).join('\u202f')
  return [PARAMETER_NOUNS[parameter], relationWords(relation, toleranceBelow, toleranceAbove), value]
    .filter(Boolean)
    .join(' ')
}

function relationWords(relation: Relation | undefined, below: string | undefined, above: string | undefined) {
  if (!relation) return ''
  return relation === 'within' ? `within ${below} below and ${above} above` : RELATION_WORDS[relation]
}
