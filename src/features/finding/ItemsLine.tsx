'use client'

import { Box } from '@chakra-ui/react/box'
import { useDeferredValue, useMemo } from 'react'
import { testedOf } from '@/pictures/readings'
import { itemsLine } from '@/words/en/itemsLineWords'
import { formatReading, withUnit } from '@/words/figures'
import { ClaimLine } from '@/ui/charts/ClaimLine'
import { type Checked, useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** Every reading of the items that is tested, the limit that each is held against, and that beyond which the claimed share lies. */
export function ItemsLine({ document, result }: Checked) {
  const { evidence } = useWorkbench()
  const values = useDeferredValue(useMemo(() => testedOf(evidence), [evidence]))
  const drawing = useMemo(() => {
    const line = itemsLine(document.claim, result)
    const { unit } = document.claim
    return (
      line && {
        figures: { values, claimed: line.marks.map(({ value }) => value), estimate: line.mean },
        labels: {
          unit: unit ?? '',
          interval: '',
          bound: '',
          claimed: line.marks.map(({ words }) => words),
          reading: (value: number) => withUnit(formatReading(value), unit),
        },
        description: line.description,
      }
    )
  }, [document, result, values])
  if (!drawing || values.length === 0) return null
  return (
    <Box as="figure" maxWidth="560px" marginBlock="12px">
      <ClaimLine name="line of items" {...drawing} />
      <Box as="figcaption" fontSize="13px" color="quiet">
        Each circle is the reading of an item.
      </Box>
    </Box>
  )
}
