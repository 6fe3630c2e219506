'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ColumnWords } from '@/desk/sampleDraft'
import { Head, HeadButton, NUMBER_WIDTH, Sub, WIDTHS } from './gridParts'

export type GridSort = Readonly<{ name: string; direction: 'rising' | 'falling' }>

const Row = chakra('div', {
  base: {
    display: 'flex',
    position: 'sticky',
    top: '0',
    zIndex: '2',
    bg: 'page',
    borderBottom: '1px solid',
    borderColor: 'rule',
    height: '44px',
  },
})
const ARIA_SORT = { rising: 'ascending', falling: 'descending' } as const

/** The heads of the columns, by which a sheet may be sorted. */
export function GridHead({
  columns,
  sort,
  onSort,
}: Readonly<{
  columns: readonly ColumnWords[]
  sort?: GridSort | undefined
  onSort?: ((name: string) => void) | undefined
}>) {
  return (
    <Row role="row" aria-rowindex={1}>
      <div role="columnheader" data-number="" style={{ width: NUMBER_WIDTH }}>
        row
      </div>
      {columns.map(({ name, label, unit, kind }) => {
        const direction = sort?.name === name ? sort.direction : undefined
        return (
          <Head
            key={name}
            role="columnheader"
            title={label || name}
            aria-sort={direction && ARIA_SORT[direction]}
            textAlign={kind === 'number' ? 'right' : 'left'}
            style={{ flex: `1 0 ${WIDTHS[kind]}px` }}
          >
            {onSort ? (
              <HeadButton type="button" tabIndex={-1} onClick={() => onSort(name)}>
                {name}
                {direction && (direction === 'rising' ? ' ↑' : ' ↓')}
              </HeadButton>
            ) : (
              name
            )}
            <Sub>{[label, unit].filter((one) => one !== '').join(', ') || '\u00a0'}</Sub>
          </Head>
        )
      })}
    </Row>
  )
}
