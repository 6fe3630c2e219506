'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { PlanDraft } from '@/desk/planDraft'
import { claimTitle } from '@/words/en/claimTitle'
import { METHOD_WORDS } from '@/words/en/methods'
import { formatCount, formatFull } from '@/words/figures'
import {
  aGap,
  planSentence,
  powerWords,
  statedGap,
  foundGap,
  takenForGranted,
  unitsWords,
} from '@/words/en/planWords'
import { CopyButton } from '@/ui/CopyButton'
import { DataTable } from '@/ui/figures/DataTable'
import { Figure } from '@/ui/figures/Figure'
import { type Found, type Planning, powerToFind } from '@/workers/planning'

/** Parts of the gap that the table looks at beside it. */
const PARTS = [0.5, 1, 1.5] as const
const Large = chakra('p', {
  base: {
    fontFamily: 'heading',
    fontSize: '40px',
    fontWeight: '600',
    lineHeight: '1.1',
    color: 'accent',
    marginBlock: '6px 8px',
  },
})

/** How many units it takes, and what so large a sample finds. */
export function PlanFigures({
  draft,
  planning,
  isOld,
}: Readonly<{
  /** That was worked out. */
  draft: PlanDraft
  planning: Planning
  /** Whether another plan is being worked out. */
  isOld: boolean
}>) {
  const found = planning.claims.map((one) => one.found).filter((one) => one !== undefined)
  const [first] = found
  return (
    <Box as="section" aria-label="What the plan comes to">
      {first && (
        <Large role="status" data-testid="units" opacity={isOld ? 0.5 : 1} aria-busy={isOld}>
          {unitsWords(first.method, first.claim, planning.units ?? first.n)}
        </Large>
      )}
      {/* Most plans are there before anybody could read this. */}
      <Note role="status" {...(isOld ? { transition: 'opacity 0s 400ms' } : { opacity: 0 })}>
        {isOld ? 'Being worked out…' : ''}
      </Note>
      {found.length > 1 && (
        <p>
          {planning.units === undefined
            ? 'These claims are not counted in the same units, so each is planned by itself.'
            : draft.wanted === 'units'
              ? 'So many serve every claim below: the most that one of them needs.'
              : 'What so many find of each claim:'}
        </p>
      )}
      {found.map((one, place) => (
        <OfClaim
          key={place}
          draft={draft}
          found={one}
          planning={planning}
          isAlone={planning.claims.length === 1}
        />
      ))}
    </Box>
  )
}

function OfClaim({
  draft,
  found,
  planning,
  isAlone,
}: Readonly<{ draft: PlanDraft; found: Found; planning: Planning; isAlone: boolean }>) {
  const { claim, hypotheses, method, firstN, n } = found
  const place = planning.claims.findIndex((one) => one.found === found)
  const size = planning.units ?? n
  const power = powerToFind(found, found.gap, size) ?? found.power
  const level = found.asked.test.significanceLevel ?? 0.05
  const sentence = planSentence(claim, hypotheses, { method, truths: found.truths, power, level })
  return (
    <Box marginBottom="16px">
      {!isAlone && (
        <Box as="h2" fontSize="14px" fontWeight="600" lineHeight="1.5" marginTop="10px">
          {claimTitle({ ...draft.claims[place]!, ...NO_MORE })}
          {draft.wanted === 'units' && `: ${unitsWords(method, claim, n)}`}
        </Box>
      )}
      <p>{sentence}</p>
      <Finds found={found} size={size} suffix={place === 0 ? '' : ` of claim ${place + 1}`} />
      {draft.wanted === 'units' && firstN !== undefined && firstN !== n && (
        <Note>
          The power goes up and down from unit to unit: {formatCount(firstN)} reach it first, and from{' '}
          {formatCount(n)} on it holds.
        </Note>
      )}
      <Note>
        By the {METHOD_WORDS[method].name}. {takenForGranted(method)}
      </Note>
      <CopyButton text={JSON.stringify(found.request)}>Copy it for the command line</CopyButton>
    </Box>
  )
}

/** Of a claim nothing else is said while it is planned. */
const NO_MORE = { wording: '', limitSide: 'none', limitValue: '', control: 'none' } as const
const Note = chakra('p', { base: { color: 'quiet', fontSize: '13px', marginTop: '6px' } })

/** How surely gaps of several sizes are found. */
function Finds({ found, size, suffix }: Readonly<{ found: Found; size: number; suffix: string }>) {
  const { claim, hypotheses, gap } = found
  const isInside = hypotheses.alternativeSide === 'inside'
  const what = aGap(hypotheses)
  const gaps = PARTS.map((part) => Number((part * gap).toPrecision(15)))
  const lines = [
    ...(gap > 0 ? gaps : []).map((one) => ({
      name: `${what} of ${Number.isInteger(one * 1e9) ? statedGap(claim, one) : foundGap(claim, one)}`,
      power: powerToFind(found, one, size),
    })),
    {
      name: isInside
        ? 'none: in the very middle'
        : hypotheses.claimIs === 'null'
          ? 'none: the claim only just holds'
          : 'none: the claim only just fails',
      power: powerToFind(found, 0, size),
    },
  ]
  const rows = lines.flatMap(({ name, power }) =>
    power === undefined
      ? []
      : [[name, <Figure key="power" name={name} shown={powerWords(power)} full={formatFull(power)} />]],
  )
  return (
    <DataTable
      label={`What this sample finds${suffix}`}
      heads={['This sample finds', 'with a power of']}
      rows={rows}
    />
  )
}
