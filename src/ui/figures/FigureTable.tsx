'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'

export type FigureRow = Readonly<{ name: string; figure: ReactNode }>

const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse' } })
const Name = chakra('th', {
  base: { textAlign: 'left', fontWeight: '400', color: 'quiet', paddingBlock: '2px' },
})
const Cell = chakra('td', { base: { textAlign: 'right', fontFamily: 'mono', paddingBlock: '2px' } })

/** Figures under one another, each with its name. */
export function FigureTable({ label, rows }: Readonly<{ label: string; rows: readonly FigureRow[] }>) {
  return (
    <Table aria-label={label}>
      <tbody>
        {rows.map(({ name, figure }) => (
          <Row key={name} name={name} figure={figure} />
        ))}
      </tbody>
    </Table>
  )
}

function Row({ name, figure }: FigureRow) {
  return (
    <tr>
      <Name scope="row">{name}</Name>
      <Cell>{figure}</Cell>
    </tr>
  )
}
