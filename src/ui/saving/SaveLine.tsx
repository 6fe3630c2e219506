import { Box } from '@chakra-ui/react/box'
import type { SaveState } from './Keeper'

const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

/** Whether what stands on the page is stored. */
export function SaveLine({ state }: Readonly<{ state: SaveState }>) {
  if (state.kind === 'failed') {
    return (
      <Box role="alert" color="finding.contradicted">
        Not saved. {state.message}
      </Box>
    )
  }
  const at = state.kind === 'saved' && state.at ? ` ${time.format(new Date(state.at))}` : ''
  return (
    <Box role="status" color="quiet" whiteSpace="nowrap" data-saving={state.kind}>
      {state.kind === 'saving' ? 'Saving…' : `Saved${at}`}
    </Box>
  )
}
