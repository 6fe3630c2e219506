'use client'

import { Box } from '@chakra-ui/react/box'
import { useWorkbench } from './WorkbenchProvider'

/** What keeps anything from being computed: what is missing, what can't be read, or why the check was refused. */
export function NothingComputed() {
  const { reading, refusal, census, estimated, isStale } = useWorkbench()
  if (isStale) return <Box color="quiet">Computing…</Box>
  if (census) return <Box color="quiet">The lot was measured whole: nothing is tested.</Box>
  const refused = refusal ? [{ field: refusal.path, message: refusal.message }] : []
  const reasons = [...reading.missing, ...reading.problems, ...refused]
  return (
    <Box color="quiet">
      {estimated ? 'Nothing is tested yet.' : 'Nothing is computed yet.'}
      <ul>
        {reasons.map(({ field, message }) => (
          <li key={`${field} ${message}`}>{message}</li>
        ))}
      </ul>
    </Box>
  )
}
