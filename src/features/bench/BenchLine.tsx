'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { useEffect } from 'react'
import { addressOfBench, EMPTY_BENCH, isBenchEmpty } from '@/desk/bench'
import { changeOfReadings } from '@/intake/sheet/typedEdit'
import { QuietButton } from '@/ui/Button'
import { CopyButton } from '@/ui/CopyButton'
import { useSample } from '@/ui/sample/SampleProvider'
import { useBench } from './BenchProvider'
import { useCheck } from './useCheck'

/** What the bench is, what can be done with all that lies on it, and what an address brought that was not understood. */
export function BenchLine() {
  const { before, lay } = useBench()
  const check = useCheck()
  const isEmpty = isBenchEmpty(check)
  const address = isEmpty ? undefined : addressOfBench(check)
  usePasteAnywhere()
  return (
    <Box marginBottom="18px" color="quiet">
      <Flex gap="8px 14px" align="center" wrap="wrap">
        <Box as="span">A check of no case: this browser keeps it until you put it into one or clear it.</Box>
        {address && <CopyButton text={`${location.origin}${address}`}>Copy its address</CopyButton>}
        {!isEmpty && (
          <QuietButton type="button" onClick={() => lay(EMPTY_BENCH, check)}>
            Clear the bench
          </QuietButton>
        )}
        {before && (
          <QuietButton type="button" onClick={() => lay(before, check)}>
            Bring back what lay here before
          </QuietButton>
        )}
      </Flex>
      <NotUnderstood />
    </Box>
  )
}

function NotUnderstood() {
  const { brought } = useBench()
  if (!brought || (brought.isWhole && brought.unread.length === 0)) return null
  return (
    <Box role="alert" color="warning" marginTop="6px">
      {!brought.isWhole &&
        'The address does not end as one that was copied from a bench: a part of it may be missing. '}
      {brought.unread.length > 0 &&
        `Of the address this was not understood: ${brought.unread.map((word) => `“${word}”`).join(', ')}. It stands as on an empty bench. `}
      Hold each word here against what was sent.
    </Box>
  )
}

/** Readings that are pasted where nothing is being typed are those of the sample, while it has none. */
function usePasteAnywhere() {
  const { draft, setFields } = useSample()
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData('text/plain') ?? ''
      const isTyping = event.target instanceof Element && event.target.matches('input, textarea, select')
      if (isTyping || text.trim() === '' || draft.kind !== 'typed' || draft.readings.trim() !== '') return
      event.preventDefault()
      setFields(changeOfReadings(draft, text))
    }
    document.addEventListener('paste', onPaste)
    return () => document.removeEventListener('paste', onPaste)
  }, [draft, setFields])
}
