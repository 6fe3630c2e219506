'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { Button, QuietButton } from '../Button'
import { gravestOf } from './gravest'
import { SaveLine } from './SaveLine'
import type { Saving } from './useSaving'

const Panel = chakra('section', {
  base: {
    position: 'absolute',
    top: '100%',
    right: 0,
    width: 'min(760px, 100%)',
    maxHeight: '70vh',
    overflow: 'auto',
    padding: '16px 24px',
    bg: 'surface',
    border: '1px solid',
    borderColor: 'warning',
  },
})
const Cell = chakra('td', {
  base: { padding: '4px 16px 4px 0', verticalAlign: 'top', overflowWrap: 'anywhere', maxWidth: '300px' },
})
const Head = chakra('th', {
  base: {
    padding: '4px 16px 4px 0',
    textAlign: 'left',
    fontWeight: '400',
    color: 'quiet',
    verticalAlign: 'top',
  },
})

/** Whether everything is stored as it stands here; where another window changed it, both versions and which is to stand. */
export function SaveStatus({ savings }: Readonly<{ savings: readonly Saving[] }>) {
  const gravest = gravestOf(savings)
  if (gravest.state.kind !== 'changed-elsewhere') return <SaveLine state={gravest.state} />
  return (
    <>
      <Box role="alert" color="warning" whiteSpace="nowrap">
        Changed in another window
      </Box>
      <Versions saving={gravest} />
    </>
  )
}

function Versions({ saving }: Readonly<{ saving: Saving }>) {
  const { differences, takeStored, storeThis } = saving
  return (
    <Panel aria-label="Two versions">
      <p>
        Another window has stored a change since this page was read, so nothing more of what is typed here is
        stored. Say which version is to stand; an undo brings the other one back.
      </p>
      <chakra.table marginBlock="10px" width="100%">
        <thead>
          <tr>
            <Head scope="col">Field</Head>
            <Head scope="col">Here</Head>
            <Head scope="col">Stored by the other window</Head>
          </tr>
        </thead>
        <tbody>
          {differences.map(({ name, here, stored }) => (
            <tr key={name}>
              <Head scope="row">{name}</Head>
              <Cell>{here || 'nothing'}</Cell>
              <Cell>{stored || 'nothing'}</Cell>
            </tr>
          ))}
        </tbody>
      </chakra.table>
      <Flex gap="12px">
        <Button type="button" onClick={storeThis}>
          Store this one
        </Button>
        <QuietButton type="button" onClick={takeStored}>
          Show the stored one
        </QuietButton>
      </Flex>
    </Panel>
  )
}
