'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { type ReactNode, useState } from 'react'
import { Figure } from '@/ui/figures/Figure'
import { InlineText } from '@/ui/inline/InlineText'
import { ProblemLines, problemsId } from '@/ui/ProblemLines'
import { onTheSide, SIDE_FIELDS, type SideField, type SideFigure, type SideTexts } from './sideFigures'

const Line = chakra('li', {
  base: {
    display: 'flex',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    flexWrap: 'wrap',
    gap: '2px 14px',
    paddingBlock: '4px',
    borderTop: '1px solid',
    borderColor: 'rule',
    minHeight: '34px',
  },
})

/** The small conversions that people do beside a test: each figure follows from what stands before it. */
export function OnTheSide() {
  const [texts, setTexts] = useState<SideTexts>({})
  const { figures, problems } = onTheSide(texts)
  const change = (part: SideTexts) => setTexts((known) => ({ ...known, ...part }))
  const typed = (field: SideField, placeholder: string) => (
    <InlineText
      label={`On the side: ${SIDE_FIELDS[field]}`}
      placeholder={placeholder}
      inputMode="decimal"
      value={texts[field] ?? ''}
      onChange={(text) => change({ [field]: text })}
      {...(problems.some((one) => one.field === field)
        ? { isInvalid: true, describedBy: problemsId(field) }
        : {})}
    />
  )
  const { variance, spread, error, gap, counted, share, tail, tails } = figures
  return (
    <section aria-label="On the side">
      <Box as="h2" fontWeight="600" marginBottom="6px">
        On the side
      </Box>
      <ul>
        <Line>
          <span>s {typed('spread', 'standard deviation')}</span>
          <Result name="s²" figure={variance} />
        </Line>
        <Line>
          <span>s² {typed('variance', 'variance')}</span>
          <Result name="s" figure={spread} />
        </Line>
        <Line>
          <span>the same s, of n {typed('sampleSize', 'readings')}</span>
          <Result name="s ÷ √n" figure={error} />
        </Line>
        <Line>
          <span>
            {typed('sampleMean', 'mean')} against {typed('claimed', 'claimed value')}
          </span>
          <Result figure={gap} name="gap in standard errors" after=" standard errors" />
        </Line>
        <Line>
          <span>
            {typed('count', 'count')} of {typed('of', 'units')}
          </span>
          <Results figures={counted} />
        </Line>
        <Line>
          <span>share {typed('share', '62.5 % or 0.625')}</span>
          <Results figures={share} />
        </Line>
        <Line>
          <span>z {typed('z', 'standard errors')}</span>
          <span>
            <Result name="one tail" figure={tail} />
            {tails && ' · '}
            <Result name="both tails" figure={tails} />
          </span>
        </Line>
      </ul>
      <ProblemLines problems={problems} onWrite={change} />
    </section>
  )
}

function Results({ figures }: Readonly<{ figures: readonly SideFigure[] | undefined }>): ReactNode {
  if (!figures) return null
  const [percent, part] = figures
  return (
    <span>
      <Figure name="in percent" {...percent!} /> · <Figure name="as a part of 1" {...part!} />
    </span>
  )
}

/** A name that is no figure's own unit stands before it. */
function Result({
  name,
  figure,
  after,
}: Readonly<{ name: string; figure: SideFigure | undefined; after?: string }>): ReactNode {
  if (!figure) return null
  return (
    <span>
      {after === undefined && `${name} `}
      <Figure name={name} {...figure} />
      {after}
    </span>
  )
}
