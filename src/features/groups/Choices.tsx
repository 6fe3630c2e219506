'use client'

import { Box } from '@chakra-ui/react/box'
import { useState, useTransition } from 'react'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { officerHere } from '@/ui/officer'
import { TextLink } from '@/ui/TextLink'
import type { CheckAnswer } from '@/claims/checkAnswer'
import { type ClaimDraft, isControlled } from '@/desk/claimDraft'
import { pooledWords } from '@/words/en/groupsWords'
import { keepGroups } from './actions'

/** By which column's entries the claim is held against each group. */
export function ColumnOfGroups({
  claimId,
  column,
  columns,
}: Readonly<{
  claimId: string
  column: string
  columns: readonly Readonly<{ name: string; label: string }>[]
}>) {
  const [isRunning, start] = useTransition()
  const [chosen, setChosen] = useState(column)
  const words = Object.fromEntries([
    [chosen, chosen === '' ? 'a column to be chosen' : chosen],
    ...columns.map(({ name, label }) => [name, label ? `${name} (${label})` : name]),
  ])
  return (
    <Box as="p" marginTop="8px" fontSize="17px" aria-busy={isRunning}>
      Held against each{' '}
      <InlineChoice
        label="Column of the groups"
        value={chosen}
        words={words}
        onChange={(other) => {
          setChosen(other)
          start(async () => void (await keepGroups(claimId, { groupsBy: other }, officerHere())))
        }}
      />
      .
    </Box>
  )
}

type Lot = Readonly<{ id: string; name: string }>

/** Which samples of the case are other lots that the claim is held against. */
export function LotChoice({
  claimId,
  draft,
  lots,
  pool,
}: Readonly<{
  claimId: string
  draft: ClaimDraft
  /** The samples of the case. */
  lots: readonly Lot[]
  /** Whether all are tested as one sample too. */
  pool: boolean
}>) {
  const { sampleId, lots: chosen } = draft
  const isControl = isControlled(draft)
  const ofPackages = isControl && draft.tareBy === 'packs' ? draft.secondSampleId : null
  const samples = lots.filter(({ id }) => id !== sampleId && (id !== ofPackages || chosen.includes(id)))
  const [isRunning, start] = useTransition()
  const [ids, setIds] = useState<readonly string[]>(chosen)
  const choose = (next: readonly string[]) => {
    setIds(next)
    start(async () => void (await keepGroups(claimId, { lots: next }, officerHere())))
  }
  return (
    <Box role="group" aria-label="Which lots" marginTop="8px" aria-busy={isRunning}>
      <p>
        Held against {lots.find(({ id }) => id === sampleId)?.name ?? 'its sample'}, the claim’s own sample,
        and against:
      </p>
      {samples.length === 0 && <Box color="quiet">There is no other sample in the case.</Box>}
      {samples.map(({ id, name }) => (
        <Box as="label" key={id} display="flex" gap="8px" alignItems="center" minHeight="28px">
          <input
            type="checkbox"
            checked={ids.includes(id)}
            onChange={(event) =>
              choose(event.target.checked ? [...ids, id] : ids.filter((one) => one !== id))
            }
          />
          {name}
        </Box>
      ))}
      {!isControl && ids.length > 0 && (
        <Box marginTop="4px">
          <TextLink href={pool ? '?' : '?pool=yes'} scroll={false} color="accent">
            {pool
              ? 'Leave each lot by itself'
              : 'Test all their readings as one sample too, with the lot as what was drawn'}
          </TextLink>
        </Box>
      )}
    </Box>
  )
}

/** What all lots come to as one sample. */
export function Pooled({ answer }: Readonly<{ answer: CheckAnswer }>) {
  return (
    <Box as="p" marginTop="8px" maxWidth="84ch" data-testid="pooled">
      {pooledWords(answer)}
    </Box>
  )
}
