'use client'

import { Box } from '@chakra-ui/react/box'
import { useEffect, useRef, useState } from 'react'
import type { ChainedEntry } from '@/desk/trail/chain'
import { ACTION_WORDS, instantWords, NOBODY_NAMED } from '@/words/en/trailWords'
import { runsOf } from '@/ui/oneGo'
import { useSample } from '@/ui/sample/SampleProvider'
import { fetchOutcome } from '@/ui/saving/fetchOutcome'

export type TrailLine = Pick<
  ChainedEntry,
  'id' | 'number' | 'at' | 'who' | 'action' | 'claimId' | 'sampleId' | 'detail'
>

/** What was done with the sample, by whom and when. */
export function History({ trail: first }: Readonly<{ trail: readonly TrailLine[] }>) {
  const trail = useTrail(first)
  if (trail.length === 0) return <Box color="quiet">Nothing yet.</Box>
  return (
    <ol aria-label="What was done with the sample">
      {runsOf(trail).map((run) => {
        const { id, at, who, action, detail } = run[0]!
        return (
          <li key={id}>
            {instantWords(at)}: {who || NOBODY_NAMED} {ACTION_WORDS[action]}
            {run.length > 1 && `, stored in ${run.length} steps`}. {detail}
          </li>
        )
      })}
    </ol>
  )
}

/** The trail as it is stored, read again once something was set aside or brought back. */
function useTrail(first: readonly TrailLine[]): readonly TrailLine[] {
  const { id, draft, saving } = useSample()
  const { setAside } = draft
  const [trail, setTrail] = useState(first)
  const savedAt = saving.state.kind === 'saved' ? saving.state.at : undefined
  const previous = useRef({ savedAt, setAside })
  useEffect(() => {
    if (savedAt === undefined || savedAt === previous.current.savedAt) return
    const isChanged = previous.current.setAside !== setAside
    previous.current = { savedAt, setAside }
    if (!isChanged) return
    void fetchOutcome<{ trail: readonly TrailLine[] }>(`/api/samples/${id}`).then((stored) => {
      if (stored?.ok) setTrail(stored.value.trail)
    })
  }, [id, setAside, savedAt])
  return trail
}
