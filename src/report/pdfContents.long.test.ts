import { readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { constants, inflateSync } from 'node:zlib'
import { strFromU8, unzipSync } from 'fflate'
import { DELIVERIES, exampleCase, SACKS } from '@tests/exampleCase'
import type { CaseContent } from '@/casefile/content'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { drawSheet } from './drawSheet'
import { reportFile } from './files'
import { reportOf } from './report'
import { made, poppler, folder, ROOT } from '@tests/reportFiles'

describe('contents of a PDF', () => {
  const many = exampleCase(Array.from({ length: 8 }, (_, at) => (at % 2 === 0 ? SACKS : DELIVERIES)))

  test('of more than ten pages name the page on which each claim and each part of the whole begins', async () => {
    const file = await made('pdf', USUAL_OPTIONS, many)
    const pages = poppler('pdftotext', '-layout', file, '-').split('\f')
    const squeezed = (text: string) => text.replace(/\s+/g, ' ')
    const { parts } = await reportOf(many, USUAL_OPTIONS)
    const listed = parts.slice(1).filter(({ level }) => level < 3)
    const whole = squeezed(pages.slice(0, 3).join(' '))
    const [, contents] = whole.split(' Contents ')
    const outline = poppler('pdftohtml', '-xml', '-i', '-stdout', file).replaceAll('&#160;', ' ')
    let from = 0
    for (const { title } of listed) {
      const at = contents!.indexOf(squeezed(title), from)
      expect(at).toBeGreaterThanOrEqual(from)
      // A title of several lines has its number behind the last.
      const number = /^ (\d+)/.exec(contents!.slice(at + squeezed(title).length))?.[1]
      expect(squeezed(outline)).toContain(`<item page="${number}">${squeezed(title)}</item>`)
      expect(squeezed(pages[Number(number) - 1]!)).toContain(squeezed(title))
      from = at + 1
    }
    expect(poppler('pdfinfo', '-struct', file)).toMatch(/TOC[^]*TOCI/)
    expect(outline).toMatch(/<item page="\d+">Contents<\/item>/)
  })

  test('are not there in a sheet of one part, however long', async () => {
    const sheet = drawSheet({ lotSize: 5000, count: 1500, seed: 7 }, new Date('2026-11-03'))
    const file = path.join(folder, 'sheet.pdf')
    writeFileSync(file, await reportFile(sheet, { format: 'pdf', root: ROOT }))
    const text = poppler('pdftotext', '-layout', file, '-')
    expect(text.split('\f').length).toBeGreaterThan(12)
    expect(text).not.toMatch(/^ *Contents$/m)
  })

  test('are not there in a shorter one', async () => {
    const text = poppler('pdftotext', '-layout', await made('pdf', USUAL_OPTIONS, exampleCase([SACKS])), '-')
    expect(text.split('\f').length).toBeLessThanOrEqual(11)
    expect(text).not.toMatch(/^ *Contents$/m)
  })
})

/** What is drawn on the pages of a PDF, as the operators that draw it. */
function drawnIn(file: string): string {
  const bytes = readFileSync(file)
  const drawn: string[] = []
  for (let at = bytes.indexOf('stream\n'); at !== -1; at = bytes.indexOf('stream\n', at + 7)) {
    const piece = bytes.subarray(at + 7, bytes.indexOf('\nendstream', at))
    if (piece[0] === 0x78)
      drawn.push(inflateSync(piece, { finishFlush: constants.Z_SYNC_FLUSH }).toString('latin1'))
  }
  return drawn.join('\n')
}

describe('a reading that is set aside is struck through, and its mark is not', () => {
  const options = { ...USUAL_OPTIONS, parts: ['readings' as const] }
  const whole = exampleCase([{ ...SACKS, sample: { ...SACKS.sample, setAside: [] } }])
  const struck = exampleCase([SACKS])

  test('in a web page and in a document', async () => {
    const html = readFileSync(await made('html', options, struck), 'utf8')
    expect(html.match(/<s>.*?<\/s>[^<]*/g)).toEqual(['<s>9</s> (set aside)'])
    expect(readFileSync(await made('html', options, whole), 'utf8')).not.toContain('<s>')
    const xml = strFromU8(unzipSync(readFileSync(await made('docx', options, struck)))['word/document.xml']!)
    expect(xml.match(/<w:strike\/>.*?<\/w:t>/g)).toEqual([expect.stringMatching(/>9<\/w:t>$/)])
    expect(xml).toContain('> (set aside)</w:t>')
  })

  test('in a PDF by a line as long as its figure', async () => {
    const line = /^0\.8 w\n[^]*?^([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l\n/gm
    const lines = [...drawnIn(await made('pdf', options, struck)).matchAll(line)]
    expect(
      lines.map(([, from, above, to, below]) => [Number(to) - Number(from) > 4, above === below]),
    ).toEqual([[true, true]])
    expect(Number(lines[0]![3]) - Number(lines[0]![1])).toBeLessThan(6)
    expect([...drawnIn(await made('pdf', options, whole)).matchAll(line)]).toEqual([])
  })
})

test('a document of many parts begins with what is to follow, each a link to where it stands; one of few does not', async () => {
  const xmlOf = async (of: CaseContent) =>
    strFromU8(unzipSync(readFileSync(await made('docx', USUAL_OPTIONS, of)))['word/document.xml']!)
  const many = exampleCase([SACKS, DELIVERIES])
  const { parts } = await reportOf(many, USUAL_OPTIONS)
  const xml = await xmlOf(many)
  const contents = xml.slice(xml.indexOf('<w:sdt>'), xml.indexOf('</w:sdt>'))
  const links = [...contents.matchAll(/w:anchor="([^"]+)".*?<w:t[^>]*>([^<]*)</g)].map(([, to, title]) => [
    to,
    title,
  ])
  const wanted = parts.flatMap(({ level, title }, at) =>
    at > 0 && level === 2 ? [[at, title] as const] : [],
  )
  expect(links.map(([, title]) => title)).toEqual(wanted.map(([, title]) => title))
  for (const [at, [to]] of links.entries()) {
    const behind = xml.slice(xml.indexOf(`<w:bookmarkStart w:name="${to}"`))
    expect(/<w:t[^>]*>([^<]*)</.exec(behind)![1]).toBe(wanted[at]![1])
  }
  expect(await xmlOf(exampleCase([SACKS]))).not.toContain('<w:sdt>')
})
