'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'
import { WideBox } from '../WideBox'

const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse', marginTop: '8px' } })
export const Head = chakra('th', {
  base: {
    textAlign: 'left',
    fontWeight: '400',
    color: 'quiet',
    padding: '4px 14px 4px 0',
    verticalAlign: 'bottom',
  },
})
const Row = chakra('tr', { base: { borderTop: '1px solid', borderColor: 'rule' } })
export const Cell = chakra('td', { base: { padding: '6px 14px 6px 0', verticalAlign: 'top' } })
const Name = chakra('th', {
  base: { textAlign: 'left', fontWeight: '400', padding: '6px 14px 6px 0', verticalAlign: 'top' },
})

/** A table whose first column names the rows. */
export function DataTable({
  label,
  heads,
  rows,
}: Readonly<{ label: string; heads: readonly string[]; rows: readonly (readonly ReactNode[])[] }>) {
  return (
    <WideBox label={label}>
      <Table aria-label={label}>
        <thead>
          <tr>
            {heads.map((head) => (
              <Head key={head} scope="col">
                {head}
              </Head>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, ...cells], row) => (
            <Row key={row}>
              <Name scope="row">{name}</Name>
              {cells.map((cell, at) => (
                <Cell key={heads[at + 1]}>{cell}</Cell>
              ))}
            </Row>
          ))}
        </tbody>
      </Table>
    </WideBox>
  )
}
