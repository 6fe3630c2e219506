'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useId } from 'react'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Label = chakra('label', {
  base: { display: 'block', color: 'quiet', marginTop: '14px', marginBottom: '4px' },
})
const Area = chakra('textarea', {
  base: {
    width: '100%',
    maxWidth: '72ch',
    minHeight: '76px',
    padding: '8px 10px',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'surface',
    resize: 'vertical',
  },
})
const MOST = 20_000

/** What whoever signs has to say beside the figures. */
export function Remarks() {
  const { draft, setField } = useWorkbench()
  const id = useId()
  return (
    <>
      <Label htmlFor={id}>Remarks</Label>
      <Area
        id={id}
        aria-label="Remarks"
        maxLength={MOST}
        value={draft.remarks}
        onChange={(event) => setField('remarks', event.target.value)}
      />
    </>
  )
}
