'use client'

import { Flex } from '@chakra-ui/react'
import { QuietButton } from '../Button'
import { SaveLine } from './SaveLine'
import type { Saving } from './useSaving'

const GRAVITY = ['saved', 'saving', 'changed-elsewhere', 'failed'] as const

/** Whether everything is stored as it stands here; where another window changed it, which of the two is to stand. */
export function SaveStatus({ savings }: Readonly<{ savings: readonly Saving[] }>) {
  const gravest = savings.reduce((worst, one) =>
    GRAVITY.indexOf(one.state.kind) > GRAVITY.indexOf(worst.state.kind) ? one : worst,
  )
  const { state, takeStored, storeThis } = gravest
  if (state.kind !== 'changed-elsewhere') return <SaveLine state={state} />
  return (
    <Flex role="alert" gap="8px" align="center" color="warning" paddingBlock="6px">
      Changed in another window; what is typed here is no longer stored.
      <QuietButton type="button" onClick={() => void takeStored()}>
        Show the stored one
      </QuietButton>
      <QuietButton type="button" onClick={() => void storeThis()}>
        Store this one
      </QuietButton>
    </Flex>
  )
}
