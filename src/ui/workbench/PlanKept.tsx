'use client'

import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { departures } from '@/desk/planKept'
import { unitsNoted } from '@/intake/scale/rows'
import type { PlanOnTrail } from '@/desk/trail/planOnTrail'
import { lockedPlanWords, notChosenAfter, planKeptWords } from '@/words/en/lockedPlanWords'
import { DownloadLink } from '../DownloadLink'
import { useWorkbench } from './WorkbenchProvider'

const Note = chakra('p', { base: { marginTop: '8px', maxWidth: '72ch' } })

/** What was locked before the readings were taken, with the sheet to take along. */
export function LockedPlanNote({ plan }: Readonly<{ plan: PlanOnTrail }>) {
  const { draw } = plan.plan
  const address = `/api/draw?draw=${encodeURIComponent(JSON.stringify(draw))}`
  return (
    <Note as="div" marginBottom="12px" role="note">
      <p>{lockedPlanWords(plan)}</p>
      {draw && (
        <Flex gap="14px" wrap="wrap">
          <DownloadLink href={`${address}&format=pdf`}>The sheet to take along, as PDF</DownloadLink>
          <DownloadLink href={`${address}&format=csv`}>The list as CSV</DownloadLink>
        </Flex>
      )}
    </Note>
  )
}

/** Whether the plan was kept, once there is a finding; `isAsked` where an opponent asks. */
export function PlanKept({ plan, isAsked = false }: Readonly<{ plan: PlanOnTrail; isAsked?: boolean }>) {
  const { found, census, control, first, draft } = useWorkbench()
  const answered = found ?? census ?? control
  if (!answered) return null
  const gone = departures(plan.plan, plan.place, answered, unitsNoted(first.sample.draft, draft.column))
  return (
    <Note>
      {planKeptWords(plan, gone)} {isAsked ? notChosenAfter(plan, gone) : lockedPlanWords(plan)}
    </Note>
  )
}
