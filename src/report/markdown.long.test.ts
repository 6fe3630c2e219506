import fc from 'fast-check'
import MarkdownIt from 'markdown-it'
import type { Block } from './document/document'
import { partMarkdown } from './markdown'

const reader = new MarkdownIt({ html: true })

/** What a reader of Markdown (CommonMark, with GitHub's tables) shows of a block: the texts of its elements. */
function shown(block: Block, element: string): readonly string[] {
  const html = reader.render(partMarkdown({ id: 'a', title: 'A part', level: 2, blocks: [block] }))
  const found = [...html.matchAll(new RegExp(`<${element}[^>]*>(.*?)</${element}>`, 'gs'))]
  return found.map(([, text]) =>
    text!
      .replace(/<br>\n?/g, '\n')
      .replace(/&(lt|gt|quot|amp);/g, (_, name: string) => ENTITIES[name]!)
      .trim(),
  )
}

const ENTITIES: Readonly<Record<string, string>> = { lt: '<', gt: '>', quot: '"', amp: '&' }
const HOSTILE = ['# a', '1. a', '- a', '+', '> a', '==', '---', '| a | b |', '<b>', '&lt;', '*a*', '`', '$x$']

test.each([
  ...HOSTILE,
  '[a](b)',
  '![a](b)',
  '\\',
  '~~a~~',
  'p < 0.001',
  '2026. It',
  '0.05',
  'A & B',
  'a_b_c',
])('“%s” is read as it was written', (text) => {
  expect(shown({ is: 'paragraph', text }, 'p')).toEqual([text])
  expect(shown({ is: 'list', items: [text, text] }, 'li')).toEqual([text, text])
  const table = { is: 'table', label: '', heads: ['a', 'b'], rows: [[text, text]], numbers: [] } as const
  expect(shown(table, 'td')).toEqual([text, text])
})

test('whatever is written is read as it was', () => {
  const piece = fc.constantFrom(...HOSTILE, ...'#*_`[]()<>!&;~$|\\-+=.:1a ')
  const text = fc
    .array(piece, { minLength: 1, maxLength: 12 })
    .map((pieces) => pieces.join('').replace(/\s+/g, ' ').trim())
    .filter((one) => one !== '')
  fc.assert(
    fc.property(text, (one) => {
      expect(shown({ is: 'paragraph', text: one }, 'p')).toEqual([one])
      const table = { is: 'table', label: '', heads: ['a'], rows: [[one]], numbers: [] } as const
      expect(shown(table, 'td')).toEqual([one])
    }),
    { numRuns: 2000 },
  )
})

test('figures are left readable to who reads the Markdown itself', () => {
  const text = partMarkdown({
    id: 'a',
    title: 'A part',
    level: 2,
    blocks: [
      { is: 'facts', label: 'People', rows: [['p-value', '< 0.001']] },
      { is: 'facts', label: 'People', rows: [['Who', 'A. Officer\nB. Weigher']] },
    ],
  })
  expect(text).toContain('| p-value | < 0.001 |')
  expect(text).toContain('| Who | A. Officer<br>B. Weigher |')
})
