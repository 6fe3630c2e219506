'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { Grid } from '@chakra-ui/react/grid'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { AddressWords } from '@/desk/addressWords'
import {
  addressOfPlan,
  EMPTY_PLAN_CLAIM,
  MOST_PLAN_CLAIMS,
  type PlanClaim,
  type PlanDraft,
  planDraftOf,
} from '@/desk/planDraft'
import { QuietButton } from '@/ui/Button'
import { Main } from '@/ui/Main'
import { useAddress } from '@/ui/useAddress'
import { Common } from './Common'
import type { Planning } from '@/workers/planning'
import { type PlanChange, PlanSentence } from './PlanSentence'
import { usePlanning } from './usePlanning'
import { Wanted } from './Wanted'

// What is shown of a plan once it is worked out comes with it, so that the page can be written in sooner.
const CostAndDraw = dynamic(() => import('./CostAndDraw').then((file) => file.CostAndDraw), { ssr: false })
const LockPlan = dynamic(() => import('./LockPlan').then((file) => file.LockPlan), { ssr: false })
const PlanFigures = dynamic(() => import('./PlanFigures').then((file) => file.PlanFigures), { ssr: false })
const PlanPicture = dynamic(() => import('./PlanPicture').then((file) => file.PlanPicture), { ssr: false })

/** How many units find the gap that matters, or what a number of them finds; for one claim, or for several at once. */
export function PlannerView({ asked }: Readonly<{ asked: AddressWords }>) {
  const [draft, setDraft] = useState(() => planDraftOf(asked))
  const change = (part: Partial<PlanDraft>) => setDraft((known) => ({ ...known, ...part }))
  const changeClaim = (place: number, part: PlanChange) => setDraft((known) => withWanted(known, place, part))
  useAddress(addressOfPlan(draft))
  const worked = usePlanning(draft)
  const shown = worked?.draft ?? draft
  const known = worked?.planning ?? unplanned(draft)
  /** Of a claim that is being changed, what it came to before; of one that was only moved up, its own. */
  const plannedOf = (claim: PlanClaim, place: number) => {
    const own = shown.claims.indexOf(claim)
    const isChanged = own < 0 && shown.claims.length === draft.claims.length
    return known.claims[isChanged ? place : own] ?? NOTHING
  }
  return (
    <Main>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 412px' }}
        minHeight={{ lg: 'calc(100vh - 46px)' }}
      >
        <Box padding={{ base: '24px', lg: '32px 40px 48px 104px' }} minWidth="0">
          {draft.claims.map((claim, place) => (
            <Box key={place}>
              <PlanSentence
                claim={claim}
                planned={plannedOf(claim, place)}
                wanted={draft.wanted}
                decimalMark={draft.decimalMark}
                suffix={place === 0 ? '' : ` of claim ${place + 1}`}
                onChange={(part) => changeClaim(place, part)}
              />
              {place === 0 && (
                <PlanPicture
                  draft={shown}
                  planning={known}
                  onChange={change}
                  onClaim={(part) => changeClaim(0, part)}
                />
              )}
              {place > 0 && (
                <QuietButton
                  type="button"
                  onClick={() => change({ claims: draft.claims.filter((_, at) => at !== place) })}
                >
                  Leave claim {place + 1} out
                </QuietButton>
              )}
            </Box>
          ))}
          <Flex marginTop="14px">
            {draft.claims.length < MOST_PLAN_CLAIMS && (
              <QuietButton
                type="button"
                onClick={() => change({ claims: [...draft.claims, another(draft)] })}
              >
                Plan another claim with the same sample
              </QuietButton>
            )}
          </Flex>
        </Box>
        <Box
          as="aside"
          bg="surface"
          borderStyle="solid"
          borderColor="rule"
          borderWidth={{ base: '1px 0 0', lg: '0 0 0 1px' }}
          padding="28px 24px 48px"
        >
          <Wanted draft={draft} units={known.units} onChange={change} />
          <PlanFigures draft={shown} planning={known} isOld={shown !== draft} />
          <Common draft={draft} planning={known} onChange={change}>
            <CostAndDraw planning={known} seed={draft.seed} onSeed={(seed) => change({ seed })} />
          </Common>
          {shown === draft && <LockPlan draft={draft} planning={known} />}
        </Box>
      </Grid>
    </Main>
  )
}

const NOTHING = { read: { missing: [], problems: [] } } as const

/** What is known of a plan before it is worked out. */
const unplanned = ({ claims }: PlanDraft): Planning => ({
  common: { problems: [] },
  claims: claims.map(() => NOTHING),
})

/** Another claim of the same units, at the same level and power. */
function another({ claims }: PlanDraft) {
  const { significanceLevel, power, unit } = claims[0]!
  return { ...EMPTY_PLAN_CLAIM, significanceLevel, power, unit }
}

/** What is typed in the place of what follows is stated from then on, and the units follow. */
function withWanted(draft: PlanDraft, place: number, part: PlanChange): PlanDraft {
  const claims = draft.claims.map((claim, at) => (at === place ? { ...claim, ...part } : claim))
  const isStated = draft.wanted !== 'units' && part[draft.wanted] !== undefined
  return { ...draft, claims, ...(isStated ? { wanted: 'units' } : {}) }
}
