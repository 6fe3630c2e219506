import katex from 'katex'
import type { OfficeMark } from '@/desk/office'
import { balance } from './drawing/balance'
import { svgOf } from './drawing/svg'
import { type Block, captionOf, type Part, type Report, struckIn } from './document/document'
import { escapeXml } from './drawing/escape'
import type { WebFont } from './document/fonts'
import { MARK_WORDS, sizeOfMark } from './document/mark'

const PIXELS_PER_POINT = 96 / 72

/** A part of a report as HTML, with nothing in it that runs. */
export function partHtml({ id, title, level, blocks }: Part): string {
  const inside = blocks.map((block, at) => blockHtml(block, `${id}-${at}`)).join('\n')
  return `<section id="${escapeXml(id)}" aria-labelledby="${escapeXml(id)}-title">
<h${level} id="${escapeXml(id)}-title">${escapeXml(title)}</h${level}>
${inside}
</section>`
}

/** The mark of an office, as a picture that is in the text itself. */
export function markHtml(mark: OfficeMark): string {
  const { width, height } = sizeOfMark(mark)
  const size = [width, height].map((points) => Math.round(points * PIXELS_PER_POINT))
  return `<img class="mark" src="data:image/png;base64,${mark.png}" width="${size[0]}" height="${size[1]}" alt="${MARK_WORDS}">`
}

function blockHtml(block: Block, id: string): string {
  switch (block.is) {
    case 'paragraph': {
      const look = block.look ? ` class="${block.look}"` : ''
      return `<p${look}>${escapeXml(block.text)}</p>`
    }
    case 'list':
      return `<ul>${block.items.map((item) => `<li>${escapeXml(item)}</li>`).join('')}</ul>`
    case 'facts': {
      const rows = block.rows.map(
        ([name, value]) => `<tr><th scope="row">${escapeXml(name)}</th><td>${escapeXml(value)}</td></tr>`,
      )
      return `<table class="facts" aria-label="${escapeXml(block.label)}"><tbody>${rows.join('')}</tbody></table>`
    }
    case 'table':
      return tableHtml(block)
    case 'outcome': {
      const mark = svgOf(balance(block.outcome), id)
      return `<div class="outcome">${mark}<span data-outcome="${block.outcome}">${escapeXml(block.words)}</span></div>`
    }
    case 'picture':
      return `<figure>${svgOf(block.drawing, id, block.description)}<figcaption>${escapeXml(captionOf(block))}</figcaption></figure>`
    case 'formula':
      return `<div class="formula"><div class="quiet">${escapeXml(block.name)}</div>${mathOf(block.latex)}</div>`
    default:
      return block satisfies never
  }
}

/** A word that may be torn, since no column can be trusted to be as wide. */
const LONG_WORD = /\S{25}/
/** A figure that may be taken to another line, between its words. */
const LONG_FIGURE = /.{20}/

function tableHtml({ label, heads, rows, numbers, struck }: Extract<Block, { is: 'table' }>): string {
  const struckOf = struckIn(struck)
  const cellHtml = (scope: 'col' | 'row' | '', text: string, at: number, length = 0) => {
    const tag = scope ? 'th' : 'td'
    const figure = LONG_FIGURE.test(text) ? 'number' : 'number whole'
    const kinds = [...(numbers[at] ? [figure] : []), ...(LONG_WORD.test(text) ? ['torn'] : [])].join(' ')
    const cut = length > 0 ? `<s>${escapeXml(text.slice(0, length))}</s>` : ''
    return `<${tag}${scope && ` scope="${scope}"`}${kinds && ` class="${kinds}"`}>${cut}${escapeXml(text.slice(length))}</${tag}>`
  }
  const head = heads.map((text, at) => cellHtml('col', text, at)).join('')
  const body = rows.map((cells, row) => {
    const lengths = struckOf(row)
    const made = cells.map((text, at) => cellHtml(at === 0 ? 'row' : '', text, at, lengths[at]))
    return `<tr>${made.join('')}</tr>`
  })
  return `<table aria-label="${escapeXml(label)}"><thead><tr>${head}</tr></thead><tbody>${body.join('')}</tbody></table>`
}

/** A formula as MathML, which browsers set by themselves; a long one goes on below, from an equals sign. */
function mathOf(latex: string): string {
  const sides = latex.split(' = ').map((side, at) => (at === 0 ? side : `{} = ${side}`))
  const set = (side: string) =>
    katex.renderToString(`\\displaystyle ${side}`, { output: 'mathml', throwOnError: false })
  return sides.map(set).join(' ')
}

/**
 * A report as one HTML file that needs nothing else: its styles, fonts and pictures are in it, and no script.
 *
 * @param css - how it looks
 */
export function htmlFile(report: Report, fonts: readonly WebFont[], css: string): string {
  const faces = fonts.map(
    ({ family, weight, unicodeRange, base64 }) =>
      `@font-face{font-family:"${family}";font-weight:${weight};unicode-range:${unicodeRange};src:url(data:font/woff2;base64,${base64}) format("woff2")}`,
  )
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; font-src data:; img-src data:">
<title>${escapeXml(report.title)}</title>
<style>${faces.join('')}body{margin:0}${css}</style>
</head>
<body>
<main class="report">
${report.mark ? `${markHtml(report.mark)}\n` : ''}${report.parts.map(partHtml).join('\n')}
<p class="quiet">${escapeXml(`Made with True Weight from the case ${report.asOf}.`)}</p>
</main>
</body>
</html>
`
}
