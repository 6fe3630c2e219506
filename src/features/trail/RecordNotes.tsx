import { Box } from '@chakra-ui/react'

type RecordVerdict = Readonly<{
  breaks: readonly Readonly<{ path: string; message: string }>[]
  notes: readonly string[]
}>

/** What of a case is not what its trail comes to, and what can't be told; nothing where all is. */
export function RecordNotes({ breaks, notes }: RecordVerdict) {
  if (breaks.length === 0 && notes.length === 0) return null
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
