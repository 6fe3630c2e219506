import { type Block, captionOf, type Part, type Report, type Struck, struckIn } from './document/document'

/** A report as Markdown (CommonMark with GitHub's tables): pictures by their words, formulas as LaTeX. */
export function markdownOf(report: Report): string {
  const parts = report.parts.map(partMarkdown).join('\n')
  return `${parts}\n${paragraph(`Made with True Weight from the case ${report.asOf}.`)}\n`
}

export function partMarkdown({ title, level, blocks }: Part): string {
  return `${'#'.repeat(level)} ${inline(title)}\n\n${blocks.map(blockMarkdown).join('\n')}`
}

function blockMarkdown(block: Block): string {
  switch (block.is) {
    case 'paragraph':
      return block.look === 'quote'
        ? `> ${paragraph(block.text).trimEnd().replaceAll('\n', '\n> ')}\n`
        : paragraph(block.text)
    case 'list':
      return `${block.items.map((item) => `- ${inline(item)}`).join('\n')}\n`
    case 'facts':
      return tableOf([block.label, ''], block.rows, [])
    case 'table':
      return tableOf(block.heads, block.rows, block.numbers, block.struck)
    case 'outcome':
      return `**${inline(block.words)}**\n`
    case 'picture':
      return `*${inline(captionOf(block))}*\n`
    case 'formula':
      return `${inline(block.name)}\n\n$$${block.latex}$$\n`
    default:
      return block satisfies never
  }
}

function tableOf(
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  numbers: readonly boolean[],
  struck?: readonly Struck[],
): string {
  const struckOf = struckIn(struck)
  const line = (cells: readonly string[], lengths: readonly number[] = []) =>
    `| ${cells.map((text, at) => struckCell(text, lengths[at])).join(' | ')} |`
  const rule = heads.map((_, at) => (numbers[at] ? '---:' : '---'))
  return `${[line(heads), `| ${rule.join(' | ')} |`, ...rows.map((cells, row) => line(cells, struckOf(row)))].join('\n')}\n`
}

/** Lines that a person wrote stay lines. */
const paragraph = (text: string): string =>
  `${text
    .split(/\r\n|\r|\n/)
    .map(inline)
    .join('\\\n')}\n`
const struckCell = (text: string, length = 0): string =>
  length > 0 ? `~~${cell(text.slice(0, length))}~~${cell(text.slice(length))}` : cell(text)
const cell = (text: string): string => linesIn(text).map(inline).join('<br>').replaceAll('|', '\\|')

/** The lines of a text without the blanks where they meet; empty ones between them are none. */
function linesIn(text: string): readonly string[] {
  const lines = text.split(/[\r\n]+/)
  const last = lines.length - 1
  return lines
    .map((line, at) => (at === 0 ? line : line.trimStart()))
    .map((line, at) => (at === last ? line : line.trimEnd()))
    .filter((line, at) => line !== '' || at === 0 || at === last)
}

/** A text in which no character means anything to Markdown or HTML, on one line; what means nothing there stays as it is. */
function inline(text: string): string {
  return linesIn(text)
    .join(' ')
    .replace(/[\\`*_[\]#~$]/g, '\\$&')
    .replace(/&(?=#?\w+;)/g, '&amp;')
    .replace(/<(?=[a-z/!?])/gi, '&lt;')
    .replace(/^(?:>|[-+=](?![\p{L}\d]))/u, '\\$&')
    .replace(/^(\d+)([.)])(?=\s|$)/, '$1\\$2')
}
