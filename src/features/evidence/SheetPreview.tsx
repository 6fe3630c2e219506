'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { formatCount } from '@/words/figures'
import type { SheetView } from '@/intake/sheet/takeReadings'

const KIND_WORDS = { number: 'numbers', category: 'texts', text: 'texts', date: 'dates' } as const
const Table = chakra('table', {
  base: { borderCollapse: 'collapse', fontSize: '13px', whiteSpace: 'nowrap' },
})
const Head = chakra('th', {
  base: {
    textAlign: 'left',
    fontWeight: '600',
    paddingInline: '10px',
    borderBottom: '1px solid',
    borderColor: 'rule',
  },
})
const Cell = chakra('td', { base: { fontFamily: 'mono', paddingInline: '10px', paddingBlock: '1px' } })
const Kind = chakra('span', { base: { display: 'block', fontWeight: '400', color: 'quiet' } })

/**
 * The first rows of a file, under the names and kinds of its columns; each can be left out.
 *
 * @param taken - names of the columns that are taken; absent: all
 */
export function SheetPreview({
  view,
  taken,
  onTake,
}: Readonly<{
  view: SheetView
  taken: readonly string[] | undefined
  onTake: (columns: readonly string[] | undefined) => void
}>) {
  const names = view.columns.map(({ name }) => name)
  const isTaken = (name: string) => taken?.includes(name) ?? true
  const turn = (name: string) => {
    const left = names.filter((one) => (one === name ? !isTaken(one) : isTaken(one)))
    onTake(left.length === names.length ? undefined : left)
  }
  return (
    <Box overflowX="auto" marginTop="8px" tabIndex={0} role="region" aria-label="First rows of the file">
      <Table>
        <thead>
          <tr>
            {view.columns.map(({ name, kind, missing, likeNumber }) => (
              <Head key={name} scope="col">
                <label>
                  {names.length > 1 && (
                    <input
                      type="checkbox"
                      aria-label={`Take ${name}`}
                      checked={isTaken(name)}
                      disabled={isTaken(name) && names.filter(isTaken).length === 1}
                      onChange={() => turn(name)}
                    />
                  )}{' '}
                  {name}
                </label>
                <Kind>
                  {KIND_WORDS[kind]}
                  {missing > 0 && `, ${formatCount(missing)} missing`}
                  {likeNumber && `; “${likeNumber}” can be read as a number, and is asked about in the claim`}
                </Kind>
              </Head>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.rows.map((row, index) => (
            <tr key={index}>
              {row.map((text, column) => (
                <Cell
                  key={view.columns[column]!.name}
                  textAlign={view.columns[column]!.kind === 'number' ? 'right' : 'left'}
                >
                  {text}
                </Cell>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </Box>
  )
}
