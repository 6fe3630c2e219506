'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { Grid } from '@chakra-ui/react/grid'
import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'
import { ButtonLink } from '@/ui/ButtonLink'
import { Main } from '@/ui/Main'
import { TextLink } from '@/ui/TextLink'
import { CaseFileButton } from './CaseFileButton'
import { LayOutDemo } from './DemoCases'

const Title = chakra('h1', {
  base: { fontFamily: 'heading', fontSize: '30px', fontWeight: '600', lineHeight: '1.25' },
})
const Doors = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: { base: '1fr', md: 'repeat(3, 1fr)' },
    borderBlock: '1px solid',
    borderColor: 'rule',
    marginBlock: '34px',
  },
})
const Frame = chakra('section', {
  base: {
    padding: { base: '20px 0', md: '24px 26px' },
    borderColor: 'rule',
    borderStyle: 'solid',
    borderWidth: { base: '1px 0 0', md: '0 0 0 1px' },
    _first: { borderWidth: 0, paddingLeft: 0 },
    '& h2': { fontFamily: 'heading', fontSize: '20px', fontWeight: '600', marginBottom: '4px' },
    '& p': { color: 'quiet', minHeight: { md: '72px' } },
  },
})

/** What the tool is for, and where to begin, while the docket is empty. */
export function Welcome({ demoCases }: Readonly<{ demoCases: number }>) {
  return (
    <Main maxWidth="1120px" marginInline="auto" padding={{ base: '28px 24px 64px', md: '60px 24px 64px' }}>
      <Title>Does the sample support the claim?</Title>
      <Box as="p" color="quiet" fontSize="16px" marginTop="12px" maxWidth="64ch">
        Write the claim as a sentence, give what was measured, and leave with a finding that can be checked
        line by line.
      </Box>
      <Doors>
        <Door
          title="Check a claim now"
          words="“At least 15 kg”, and a list of readings or just a count. It stays in this browser until you put it into a case."
        >
          <ButtonLink href="/bench">Go to the bench</ButtonLink>
        </Door>
        <Door
          title="Plan a sample"
          words="How many units find the gap that matters, and how to draw them, before you set out."
        >
          <ButtonLink href="/planner" isQuiet>
            Plan
          </ButtonLink>
        </Door>
        <Door
          title="Open a case"
          words="Several claims of one party, with their samples, the report and the trail, to be signed and handed over."
        >
          <ButtonLink href="/cases/new" isQuiet>
            Open a case
          </ButtonLink>
          <CaseFileButton />
        </Door>
      </Doors>
      <Grid gap="10px">
        <LayOutDemo count={demoCases} />
        <Flex gap="18px">
          <TextLink href="/plans" color="quiet">
            Control plans
          </TextLink>
          <TextLink href="/keys" color="quiet">
            Keys
          </TextLink>
          <TextLink href="/office" color="quiet">
            Office
          </TextLink>
        </Flex>
      </Grid>
    </Main>
  )
}

function Door({ title, words, children }: Readonly<{ title: string; words: string; children: ReactNode }>) {
  return (
    <Frame>
      <h2>{title}</h2>
      <p>{words}</p>
      <Flex gap="10px" marginTop="12px" wrap="wrap">
        {children}
      </Flex>
    </Frame>
  )
}
