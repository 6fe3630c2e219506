'use client'

import { Box } from '@chakra-ui/react/box'
import { useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import { formatCount } from '@/words/figures'
import { QuietButton } from '@/ui/Button'
import { clearAway, layOut } from './actions'

const NO_ANSWER = 'The server does not answer. Nothing was changed; try it again.'

/** Does something with the demo's cases, and says what came of it. */
function useDemo() {
  const router = useRouter()
  const [said, setSaid] = useState('')
  const [isRunning, start] = useTransition()
  const run = (work: () => Promise<string>) =>
    start(async () => {
      setSaid(await work().catch(() => NO_ANSWER))
      router.refresh()
    })
  return { said, isRunning, run }
}

/** Brings the demo's cases in. */
export function LayOutDemo({ count }: Readonly<{ count: number }>) {
  const { said, isRunning, run } = useDemo()
  return (
    <Box>
      Never seen one?{' '}
      <QuietButton
        type="button"
        disabled={isRunning}
        onClick={() =>
          run(async () => {
            const laid = await layOut()
            return laid.ok ? '' : laid.problem.message
          })
        }
      >
        {isRunning ? 'Laying it out…' : 'Lay out the winter heating audit'}
      </QuietButton>{' '}
      <Box as="span" color="quiet">
        {formatCount(count)} invented cases; they can be cleared away again.
      </Box>
      {said && (
        <Box role="alert" color="finding.contradicted">
          {said}
        </Box>
      )}
    </Box>
  )
}

/** Takes the demo's cases away again, while there are any. */
export function ClearDemo({ isLaidOut }: Readonly<{ isLaidOut: boolean }>) {
  const { said, isRunning, run } = useDemo()
  return (
    <Box marginTop="14px" color="quiet">
      {isLaidOut && (
        <>
          The cases of the winter heating audit are invented.{' '}
          <QuietButton type="button" disabled={isRunning} onClick={() => run(cleared)}>
            {isRunning ? 'Clearing them away…' : 'Clear them away'}
          </QuietButton>
        </>
      )}
      {said && <Box role="status">{said}</Box>}
    </Box>
  )
}

/** @returns what stays, in words; empty where nothing does */
async function cleared(): Promise<string> {
  const outcome = await clearAway()
  if (!outcome.ok) return outcome.problem.message
  const stay = outcome.value
  if (stay.length === 0) return ''
  return stay.length === 1
    ? `${stay[0]} was worked on since it was laid out, and stays.`
    : `${stay.join(', ')} were worked on since they were laid out, and stay.`
}
