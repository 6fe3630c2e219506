'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { instantWords } from '@/words/en/trailWords'
import { TextLink } from '@/ui/TextLink'

type RecordVerdict = Readonly<{
  breaks: readonly Readonly<{ path: string; message: string }>[]
  notes: readonly string[]
  checkedAt: string
}>

/** What of a case is not what its trail comes to, and what can't be told; and when all of it was last looked at. */
export function RecordNotes({ breaks, notes, checkedAt }: RecordVerdict) {
  return (
    <>
      {(breaks.length > 0 || notes.length > 0) && <Told breaks={breaks} notes={notes} />}
      <Flex gap="12px" marginTop="6px" color="quiet" fontSize="13px">
        <span>The whole case was held against its trail at {instantWords(checkedAt)}.</span>
        <TextLink href="?check=now" color="accent">
          Hold it against it again
        </TextLink>
      </Flex>
    </>
  )
}

function Told({ breaks, notes }: Pick<RecordVerdict, 'breaks' | 'notes'>) {
  return (
    <Box as="ul" aria-label="What the record does not show" marginTop="8px">
      {breaks.map(({ path, message }) => (
        <Box
          as="li"
          marginTop="4px"
          wordBreak="break-word"
          key={`${path} ${message}`}
          color="finding.contradicted"
        >
          {message}
        </Box>
      ))}
      {notes.map((note) => (
        <Box as="li" marginTop="4px" wordBreak="break-word" key={note} color="warning">
          {note}
        </Box>
      ))}
    </Box>
  )
}
