'use client'

import { Box } from '@chakra-ui/react/box'
import { useDeferredValue, useMemo } from 'react'
import { contentQuantity } from '@/words/en/contentWords'
import { packsLine } from '@/words/en/packsLineWords'
import { formatReading, withUnit } from '@/words/figures'
import { ClaimLine } from '../charts/ClaimLine'
import { useWorkbench } from './WorkbenchProvider'

/** Every pack's error, with what the label says, −T and −2T. */
export function PacksLine() {
  const { control } = useWorkbench()
  const shown = useDeferredValue(control)
  const drawing = useMemo(() => {
    const line = shown && packsLine(shown.document, shown.result)
    const { unit } = shown?.result.content ?? { unit: '' }
    return (
      line && {
        figures: {
          values: line.errors,
          shorts: line.shorts,
          claimed: line.marks.map(({ value }) => value),
          estimate: line.mean,
        },
        labels: {
          unit,
          interval: shown ? `mean ${contentQuantity(shown.result.content, line.mean)}` : '',
          bound: '',
          claimed: line.marks.map(({ words }) => words),
          reading: (value: number) => withUnit(formatReading(value), unit),
        },
        description: line.description,
      }
    )
  }, [shown])
  if (!drawing) return null
  return (
    <Box as="figure" maxWidth="640px" marginBlock="12px">
      <ClaimLine name="errors of the packs" {...drawing} />
      <Box as="figcaption" fontSize="13px" color="quiet">
        Each circle is a pack: its content less what the label says. The mark under them is the mean.
      </Box>
    </Box>
  )
}
