'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { SectionEntry } from './SectionNav'

const Menu = chakra('details', { base: { position: 'relative' } })
const Title = chakra('summary', { base: { cursor: 'pointer', minHeight: '30px', lineHeight: '30px' } })
const List = chakra('ol', {
  base: {
    position: 'absolute',
    right: 0,
    zIndex: 3,
    padding: '6px 14px',
    bg: 'surface',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    whiteSpace: 'nowrap',
  },
})
const Link = chakra('a', {
  base: { display: 'block', minHeight: '28px', lineHeight: '28px', textDecoration: 'none' },
})

/** The sections of the workbench where there is no room for their list beside it. */
export function SectionMenu({ sections }: Readonly<{ sections: readonly SectionEntry[] }>) {
  return (
    <Menu hideFrom="lg">
      <Title>Sections</Title>
      <List aria-label="Sections">
        {sections.map(({ id, title }, index) => (
          <li key={id}>
            <Link
              href={`#${id}`}
              onClick={({ currentTarget }) => currentTarget.closest('details')?.removeAttribute('open')}
            >
              {index + 1}&ensp;{title}
            </Link>
          </li>
        ))}
      </List>
    </Menu>
  )
}
