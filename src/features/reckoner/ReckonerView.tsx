'use client'

import { Box } from '@chakra-ui/react/box'
import { Grid } from '@chakra-ui/react/grid'
import { useDeferredValue, useMemo, useState } from 'react'
import type { AddressWords } from '@/desk/addressWords'
import { addressOfReckoning, type ReckonDraft, reckonDraftOf } from '@/desk/reckonDraft'
import { pointLines, shownFigure, shownShare, spokenReckoning } from '@/words/en/reckonWords'
import { TailChart } from '@/ui/charts/TailChart'
import { CopyButton } from '@/ui/CopyButton'
import { FigureLines } from '@/ui/figures/FigureLines'
import { Main } from '@/ui/Main'
import { ProblemLines } from '@/ui/ProblemLines'
import { useAddress } from '@/ui/useAddress'
import { useIsHere } from '@/ui/useIsHere'
import { handleOf } from './handleOf'
import { Levels } from './Levels'
import { OnTheSide } from './OnTheSide'
import { type Reckoning, reckoning } from './reckoning'
import { ReckonSentence } from './ReckonSentence'

const NOTHING: Reckoning = { read: { missing: [], problems: [] } }

/** Tails, limits and critical values of any distribution, and what people reckon on the side. */
export function ReckonerView({ asked }: Readonly<{ asked: AddressWords }>) {
  const [draft, setDraft] = useState(() => reckonDraftOf(asked))
  const change = (part: Partial<ReckonDraft>) => setDraft((known) => ({ ...known, ...part }))
  useAddress(addressOfReckoning(draft))
  const shown = useDeferredValue(draft)
  // Another engine's last digits would differ: the figures are the browser's alone.
  const isHere = useIsHere()
  const found = useMemo((): Reckoning => (isHere ? reckoning(shown) : NOTHING), [isHere, shown])
  const { read, known } = found
  const problems = read.problems.filter(({ field }) => field !== 'level')
  return (
    <Main>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 420px' }}
        minHeight={{ lg: 'calc(100vh - 46px)' }}
      >
        <Box padding={{ base: '24px', lg: '32px 48px 48px 104px' }} minWidth="0">
          <ReckonSentence draft={draft} found={found} onChange={change} />
          <ProblemLines problems={problems} onWrite={(texts) => change(written(draft, texts))} />
          {read.missing.length > 0 && (
            <Box as="p" color="quiet" marginTop="8px">
              Still needed: the {read.missing.join(' and the ')}.
            </Box>
          )}
          {found.problem && (
            <Box role="alert" color="finding.contradicted" marginTop="8px">
              {found.problem}
            </Box>
          )}
          <Found draft={shown} found={found} onMove={(text) => change({ given: 'point', text })} />
        </Box>
        <Box
          as="aside"
          bg="surface"
          borderStyle="solid"
          borderColor="rule"
          borderWidth={{ base: '1px 0 0', lg: '0 0 0 1px' }}
          padding="28px 24px 48px"
        >
          {known && (
            <Levels
              levels={known.levels}
              isWhole={known.isWhole}
              level={draft.level}
              problems={read.problems.filter(({ field }) => field === 'level')}
              onLevel={(level) => change({ level })}
            />
          )}
          <OnTheSide />
        </Box>
      </Grid>
    </Main>
  )
}

/** What would do in place of a text, put where the text stands. */
const written = (draft: ReckonDraft, texts: Readonly<Record<string, string>>): Partial<ReckonDraft> => {
  const { text, level, ...fields } = texts
  return {
    ...(text === undefined ? {} : { text }),
    ...(level === undefined ? {} : { level }),
    fields: { ...draft.fields, ...fields },
  }
}

function Found({
  draft,
  found: { known, found },
  onMove,
}: Readonly<{ draft: ReckonDraft; found: Reckoning; onMove: (text: string) => void }>) {
  if (!known || !found) return null
  const { ends, points, shape } = found
  const handle = handleOf(draft, ends)
  const spoken = spokenReckoning(draft, { ...found, isWhole: known.isWhole })
  return (
    <>
      {known.isWhole && draft.given === 'probability' && (
        <Box as="p" marginTop="6px">
          In fact it is {shownShare(found.share)}.
        </Box>
      )}
      <Box marginTop="22px">
        <TailChart
          {...{ shape, ends, onMove }}
          handle={handle ?? 0}
          words={shownFigure}
          description={`${spoken} What lies there is hatched.`}
        />
      </Box>
      <Box as="p" color="quiet" marginBlock="6px 14px">
        Pull the handle, or type either number: the other follows. Point at a figure for every digit, click it
        to copy them.
      </Box>
      <Grid
        templateColumns={{ base: '1fr', md: points.length > 1 ? '1fr 1fr' : 'minmax(0, 420px)' }}
        gap="6px 40px"
      >
        {points.map((point) => (
          <FigureLines
            key={point.x}
            label={`Figures at ${shownFigure(point.x)}`}
            lines={[
              { name: 'x', shown: shownFigure(point.x), full: String(point.x) },
              ...pointLines(point, known.isWhole),
            ]}
          />
        ))}
      </Grid>
      <Box marginTop="16px">
        <CopyButton text={spoken}>Copy the sentence</CopyButton>
      </Box>
    </>
  )
}
