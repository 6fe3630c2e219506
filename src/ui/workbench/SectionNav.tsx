'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useEffect, useState } from 'react'
import { useWorkbench } from './WorkbenchProvider'

export type SectionEntry = Readonly<{ id: string; title: string }>

const Link = chakra('a', {
  base: {
    display: 'block',
    padding: '6px 0 6px 12px',
    borderLeft: '2px solid',
    borderColor: 'rule',
    color: 'quiet',
    textDecoration: 'none',
    _hover: { color: 'ink' },
    '&[aria-current]': { color: 'ink', fontWeight: '600', borderColor: 'accent' },
  },
})

const Doubts = chakra('b', { base: { marginLeft: '12px', color: 'warning' } })

/** The sections of the workbench; the one being read is marked. */
export function SectionNav({ sections }: Readonly<{ sections: readonly SectionEntry[] }>) {
  const current = useSectionInView(sections)
  const { checked } = useWorkbench()
  const doubts = checked?.result.conditions.filter(
    ({ state }) => state === 'doubtful' || state === 'not-met',
  ).length
  return (
    <Box as="nav" aria-label="Sections" position="sticky" top="72px" hideBelow="lg">
      <ol>
        {sections.map(({ id, title }, index) => (
          <li key={id}>
            <Link href={`#${id}`} aria-current={id === current ? 'true' : undefined}>
              {index + 1}&ensp;{title}
              {id === 'conditions' && !!doubts && (
                <Doubts aria-label={`${doubts} not met or in doubt`}>{doubts}</Doubts>
              )}
            </Link>
          </li>
        ))}
      </ol>
    </Box>
  )
}

function useSectionInView(sections: readonly SectionEntry[]): string | undefined {
  const [current, setCurrent] = useState(sections[0]?.id)
  useEffect(() => {
    const seen = new Set<string>()
    const observer = new IntersectionObserver(
      (entries) => {
        for (const { target, isIntersecting } of entries) {
          if (isIntersecting) seen.add(target.id)
          else seen.delete(target.id)
        }
        const first = sections.find(({ id }) => seen.has(id))
        if (!first) return
        setCurrent(first.id)
        // A link to the page leads to what is being read.
        const isTop = first.id === sections[0]?.id && location.hash === ''
        if (!isTop && location.hash !== `#${first.id}`) history.replaceState(null, '', `#${first.id}`)
      },
      { rootMargin: '-80px 0px -60% 0px' },
    )
    for (const { id } of sections) {
      const element = document.getElementById(id)
      if (element) observer.observe(element)
    }
    return () => observer.disconnect()
  }, [sections])
  return current
}
