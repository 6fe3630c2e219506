'use client'

import { Box } from '@chakra-ui/react/box'
import { useMemo } from 'react'
import type { Condition } from '@/claims/terms/condition'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import type { EvidenceReading } from '@/intake/readEvidence'
import { ReadingsChart } from '@/ui/charts/ReadingsChart'
import {
  boxPicture,
  type Drawn,
  drawnOf,
  histogramPicture,
  type Look,
  orderPicture,
  quantilePicture,
  type ReadingsPicture,
} from '@/pictures/readings'
import { useLook } from '@/ui/sample/useLook'
import { pointed } from '@/ui/sample/pointed'
import { rowWords } from '@/ui/sample/rowWords'

type PictureOf = Readonly<{
  title: string
  words: string
  draw: (drawn: Drawn, look: Look) => ReadingsPicture
}>

/** The picture that says most of each condition; the rest need none. */
const PICTURES: Partial<Readonly<Record<Condition['name'], PictureOf>>> = {
  normality: {
    title: 'quantile plot of the condition',
    words: 'Normal quantiles: readings of a normal population lie on the line.',
    draw: quantilePicture,
  },
  symmetry: {
    title: 'histogram of the condition',
    words: 'Histogram: of a symmetric population both sides look alike.',
    draw: (drawn, look) => histogramPicture(drawn, look.sorted, look.figures.binWidth || 1),
  },
  outliers: {
    title: 'box plot of the condition',
    words: 'Box plot: readings beyond the fences are circles.',
    draw: boxPicture,
  },
  order: {
    title: 'order of the condition',
    words: 'The readings in the order of their rows: chance has no pattern.',
    draw: (drawn) => orderPicture(drawn),
  },
}

/** A small picture of a condition. */
export function ConditionPicture({
  name,
  of,
  evidence,
  unit,
}: Readonly<{ name: Condition['name']; of: Condition['of']; evidence: EvidenceReading; unit: string }>) {
  const picture = PICTURES[name]
  const drawn = useMemo(() => drawnOf(evidence, unit), [evidence, unit])
  const look = useLook(picture ? drawn.values : NONE)
  const words = useMemo(() => rowWords(drawn), [drawn])
  const shown = useMemo(
    () => (picture && look ? picture.draw(drawn, look) : undefined),
    [picture, drawn, look],
  )
  if (!picture || !shown) return null
  return (
    <Box as="figure" maxWidth="320px" marginTop="6px">
      <ReadingsChart
        name={of ? `${picture.title}, ${SOURCE_WORDS[of]}` : picture.title}
        picture={shown}
        description={picture.words}
        words={words}
        pointing={pointed}
        onChoose={pointed.set}
      />
      <Box as="figcaption" fontSize="13px" color="quiet">
        {picture.words}
      </Box>
    </Box>
  )
}

const NONE: readonly number[] = []
