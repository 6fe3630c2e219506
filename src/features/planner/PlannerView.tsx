'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
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
import { LockPlan } from './LockPlan'
import { PlanFigures, Wanted } from './PlanFigures'
import { PlanPicture } from './PlanPicture'
import { type PlanChange, PlanSentence } from './PlanSentence'
import { usePlanning } from './usePlanning'

/** How many units find the gap that matters, or what a number of them finds; for one claim, or for several at once. */
export function PlannerView({ asked }: Readonly<{ asked: AddressWords }>) {
  const [draft, setDraft] = useState(() => planDraftOf(asked))
  const change = (part: Partial<PlanDraft>) => setDraft((known) => ({ ...known, ...part }))
  const changeClaim = (place: number, part: PlanChange) => setDraft((known) => withWanted(known, place, part))
  useAddress(addressOfPlan(draft))
  const worked = usePlanning(draft)
  const shown = worked?.draft ?? draft
  const known: Planning = worked?.planning ?? {
    common: { problems: [] },
    claims: draft.claims.map(() => NOTHING),
  }
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
          <Common draft={draft} planning={known} onChange={change} />
          {shown === draft && <LockPlan draft={draft} planning={known} />}
        </Box>
      </Grid>
    </Main>
  )
}

const NOTHING = { read: { missing: [], problems: [] } } as const

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
