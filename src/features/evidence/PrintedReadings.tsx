'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'
import type { EvidenceReading } from '@/intake/readEvidence'
import { formatCount, formatReading } from '@/words/figures'

/** More are not printed one by one: they are in the sheet of the sample. */
const MAX_PRINTED = 2000

const OnPaper = chakra('div', { base: { marginTop: '8px' } })
const Reading = chakra('span', {
  base: { display: 'inline-block', fontFamily: 'mono', fontSize: '12px', marginRight: '14px' },
})

/** Whether the page is being printed: what is on paper only would else be made anew with each keystroke. */
function usePrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false)
  useEffect(() => {
    const [begin, end] = [true, false].map((is) => () => flushSync(() => setPrinting(is))) as [
      () => void,
      () => void,
    ]
    addEventListener('beforeprint', begin)
    addEventListener('afterprint', end)
    return () => {
      removeEventListener('beforeprint', begin)
      removeEventListener('afterprint', end)
    }
  }, [])
  return isPrinting
}

/** Every reading, on paper only: those that are set aside struck through. */
export function PrintedReadings({ evidence }: Readonly<{ evidence: EvidenceReading }>) {
  const isPrinting = usePrinting()
  const { values, rows, setAside } = evidence
  if (!isPrinting || values.length === 0) return null
  const left = new Set(setAside)
  const more = values.length - MAX_PRINTED
  return (
    <OnPaper>
      Every reading, by its row:{' '}
      {values.slice(0, MAX_PRINTED).map((value, at) => (
        <Reading key={rows[at]} textDecoration={left.has(at) ? 'line-through' : undefined}>
          {rows[at]! + 1}: {formatReading(value)}
        </Reading>
      ))}
      {more > 0 && `and ${formatCount(more)} more, in the sheet of the sample.`}
    </OnPaper>
  )
}
