'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'

const Frame = chakra('section', {
  base: {
    paddingBlock: '18px',
    borderTop: '1px solid',
    borderColor: 'rule',
    _first: { borderTop: 0, paddingTop: 0 },
  },
})

const Title = chakra('h2', {
  base: { fontSize: '14px', fontWeight: '600', color: 'quiet', marginBottom: '8px' },
})

/** One numbered part of the job, in the order of the job. */
export function Section({
  id,
  number,
  title,
  children,
}: Readonly<{ id: string; number: number; title: string; children: ReactNode }>) {
  return (
    <Frame id={id} aria-labelledby={`${id}-title`}>
      <Title id={`${id}-title`}>
        {number}&ensp;{title}
      </Title>
      {children}
    </Frame>
  )
}
