import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { unzipSync } from 'fflate'
import { SaxesParser } from 'saxes'
import { exampleCase, SACKS } from '@tests/exampleCase'
import type { CaseContent } from '@/casefile/content'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { lackingInPdf } from './files'
import { markdownOf } from './markdown'
import { reportOf } from './report'
import { trueTypeOf } from './document/woff'
import { made, poppler, content, ROOT, folder } from '@tests/reportFiles'

const WRITER = '/usr/bin/lowriter'
const textOf = async (of: CaseContent) => markdownOf(await reportOf(of, USUAL_OPTIONS))

describe('PDF, by poppler’s tools', () => {
  let file = ''
  beforeAll(async () => {
    file = await made('pdf')
  })

  test('its text is the report’s, in order, with every sign', () => {
    const text = poppler('pdftotext', '-layout', file, '-').replace(/\s+/g, ' ')
    const places = [
      'WH-099 Säcke ≥ 15 kg, μ & σ²',
      'Summary of findings',
      'Contradicted',
      'the sack was torn',
      'μ ≥ 15\u202fkg',
      'Would the finding stand if',
      'There is no finding yet',
      'Student (1908)',
    ].map((words) => text.indexOf(words.replace(/\s/g, ' ')))
    expect(places).not.toContain(-1)
    expect(places).toEqual(places.toSorted((a, b) => a - b))
    expect(text).not.toContain('\ufffd')
  })

  test('every page has the number of the report at its head and what it is at its foot, however long that is', async () => {
    const { number } = await reportOf(content, USUAL_OPTIONS)
    const pagesOf = (name: string) => poppler('pdftotext', '-layout', name, '-').split('\f').slice(0, -1)
    const pages = pagesOf(file)
    expect(pages.length).toBeGreaterThan(3)
    for (const [at, page] of pages.entries()) {
      expect(page.trim().split('\n')[0]!.trim()).toBe(`Report ${number}`)
      expect(page).toContain(`${at + 1} / ${pages.length}`)
      expect(page).toMatch(/UTC, entry \d+ of the trail +\d/)
    }
    const long = exampleCase([SACKS], 'a subject of many words '.repeat(20).trim())
    for (const page of pagesOf(await made('pdf', USUAL_OPTIONS, long)))
      expect(page.trim().split('\n').at(-1)).toMatch(/^WH-099 a subject of .* [a-z]+\s?… +\d+ ?\/ ?\d+$/)
  })

  test('a head that is the widest cell of its column stands on one line', async () => {
    const one = exampleCase([{ ...SACKS, claim: { ...SACKS.claim, remarks: '' } }])
    const text = poppler('pdftotext', '-layout', await made('pdf', USUAL_OPTIONS, one), '-')
    expect(text).toMatch(/^ *Set aside: row +Reading +Reason +By$/m)
  })

  test('no title stands alone at the end of a page, wherever the page ends', async () => {
    for (let lines = 0; lines < 60; lines += 2) {
      const remarks = Array.from({ length: lines }, (_, at) => `remark ${at}`).join('\n')
      const one = exampleCase([{ ...SACKS, claim: { ...SACKS.claim, remarks } }])
      const options = { ...USUAL_OPTIONS, parts: ['pictures' as const] }
      const titles = (await reportOf(one, options)).parts.map(({ title }) => title)
      const text = poppler('pdftotext', '-layout', await made('pdf', options, one), '-')
      for (const page of text.split('\f')) {
        const ends = page.trim().split('\n').filter(Boolean).slice(0, -1)
        expect(titles).not.toContain(ends.at(-1)?.trim())
      }
    }
  })

  test('every font is embedded, and none is a picture of letters', () => {
    const fonts = poppler('pdffonts', file).split('\n').slice(2).filter(Boolean)
    expect(fonts.length).toBeGreaterThan(4)
    for (const line of fonts) expect(line).toMatch(/CID TrueType\s+Identity-H\s+yes yes yes/)
    expect(fonts.join()).toMatch(/IBMPlexSans/)
  })

  test('it is tagged, with heads of tables, pictures in words and a title', () => {
    expect(poppler('pdfinfo', file)).toMatch(/Title:\s+WH-099 Säcke[^]*Tagged:\s+yes/)
    const structure = poppler('pdfinfo', '-struct-text', file)
    for (const tag of ['H1', 'H2', 'H3', 'Table', 'TH', 'TD', 'Figure', 'L ', 'LBody', 'P '])
      expect(structure).toContain(`${tag.trim()}`)
    expect(structure).toMatch(/H1[^]*"WH-099/)
  })

  test('its parts are listed beside the pages, each with the page that it stands on', async () => {
    const listed = poppler('pdftohtml', '-xml', '-i', '-stdout', file)
      .split('<outline>')
      .slice(1)
      .join('<outline>')
    const items = [...listed.matchAll(/<item page="(\d+)">(.*?)<\/item>/g)].map(([, page, title]) => ({
      page: Number(page),
      title: title!.replaceAll('&#160;', ' ').replaceAll('&amp;', '&'),
    }))
    const { parts } = await reportOf(content, USUAL_OPTIONS)
    const [first, ...others] = parts.map(({ title }) => title)
    expect(items.map(({ title }) => title)).toEqual([first, 'Contents', ...others])
    // Under the title all claims, and under each claim what it rests on.
    expect(listed.split('<outline>').length).toBe(
      1 + parts.filter(({ level }, at) => level > (parts[at - 1]?.level ?? 1)).length,
    )
    for (const { page, title } of items) {
      const text = poppler('pdftotext', '-f', String(page), '-l', String(page), file, '-')
      expect(text.replace(/\s+/g, ' ')).toContain(title.replace(/\s+/g, ' '))
    }
  })

  test('its pictures are drawn, not photographed', () => {
    expect(poppler('pdfimages', '-list', file).trim().split('\n')).toHaveLength(2)
  })
})

test.each(['pdf', 'docx', 'html', 'md'] as const)('the same case gives the same %s', async (format) => {
  const [one, other] = [await made(format), await made(format)]
  expect(Buffer.compare(readFileSync(one), readFileSync(other))).toBe(0)
})

test('a text that no page has room for goes over as many as it takes', async () => {
  const remarks = Array.from({ length: 3000 }, (_, at) => `word${at}`).join(' ')
  const long = exampleCase([{ ...SACKS, claim: { ...SACKS.claim, remarks } }])
  const people = 'x'.repeat(20_000)
  const file = await made('pdf', USUAL_OPTIONS, { ...long, case: { ...long.case, people } })
  const text = poppler('pdftotext', '-raw', file, '-')
  for (let at = 0; at < 3000; at += 1) expect(text).toContain(`word${at}`)
  expect(text.replace(/\s/g, '')).toContain('x'.repeat(3000))
})

test('letters that no font has are marked, and the report is made', async () => {
  const foreign = exampleCase([SACKS], 'Sacks \u{1F9F1} \u6797')
  const file = await made('pdf', USUAL_OPTIONS, foreign)
  expect(poppler('pdftotext', file, '-')).toContain('Sacks \ufffd \ufffd')
  expect(await lackingInPdf(await textOf(foreign), ROOT)).toMatch(
    /^The PDF has no letters for \u{1F9F1} \u6797: each stands in it as/u,
  )
  const ours = exampleCase([SACKS], 'Sacks, säcke, мешки, σάκοι, ≥ ½ ±')
  expect(await lackingInPdf(await textOf(ours), ROOT)).toBe('')
})

describe('DOCX', () => {
  test('its parts are well-formed XML, with the text, tables and pictures', async () => {
    const entries = unzipSync(readFileSync(await made('docx')))
    for (const [name, bytes] of Object.entries(entries)) {
      if (!/\.(xml|rels)$/.test(name)) continue
      const parser = new SaxesParser()
      parser.on('error', (error) => {
        throw new Error(`${name}: ${error.message}`)
      })
      parser.write(new TextDecoder().decode(bytes)).close()
    }
    const text = new TextDecoder().decode(entries['word/document.xml'])
    for (const words of [
      'Säcke ≥ 15 kg, μ &amp; σ²',
      'the sack was torn',
      '<w:tbl>',
      'svgBlip',
      'w:tblHeader',
    ])
      expect(text).toContain(words)
    expect(Object.keys(entries).filter((name) => /\.(png|svg)$/.test(name)).length).toBeGreaterThan(3)
  })

  test('every page has the number of the report at its head, what it is and its own number at its foot, and every look is a style', async () => {
    const entries = unzipSync(readFileSync(await made('docx')))
    const partOf = (name: string) => new TextDecoder().decode(entries[`word/${name}.xml`])
    const [text, styles] = [partOf('document'), partOf('styles')]
    const foot = partOf(/footer\d/.exec(Object.keys(entries).join())![0])
    const { number } = await reportOf(content, USUAL_OPTIONS)
    expect(partOf(/header\d/.exec(Object.keys(entries).join())![0])).toContain(`>Report ${number}<`)
    expect(text).toContain('<w:headerReference')
    expect(foot).toContain('Säcke ≥ 15 kg, μ &amp; σ², as of 2026-11-03 10:42:00 UTC, entry')
    expect(foot).toMatch(/>PAGE<.* \/ .*>NUMPAGES</s)
    expect(text).toContain('<w:footerReference')
    expect(styles).toContain('<w:lang w:val="en-GB"')
    const used = new Set([...text.matchAll(/<w:pStyle w:val="(Report\w+)"/g)].map(([, name]) => name!))
    expect(used.size).toBe(11)
    for (const name of used) expect(styles).toContain(`w:styleId="${name}"`)
  })

  const whereInstalled = existsSync(WRITER) ? test : test.skip
  whereInstalled(
    'LibreOffice opens it',
    async () => {
      const file = await made('docx')
      const profile = `-env:UserInstallation=file://${folder}/profile`
      const args = [profile, '--headless', '--convert-to', 'pdf', '--outdir', folder, file]
      expect(spawnSync(WRITER, args, { timeout: 120_000 }).status).toBe(0)
      const text = poppler('pdftotext', file.replace(/docx$/, 'pdf'), '-')
      expect(text).toContain('Summary of findings')
      expect(text).toContain('the sack was torn')
    },
    150_000,
  )
})

test('the HTML file needs nothing but itself', async () => {
  const html = readFileSync(await made('html'), 'utf8')
  const [outside] = html.match(/(src|href)="(?!#)|@import|<script|url\((?!data:|#)/) ?? []
  expect(outside).toBeUndefined()
  expect(html.match(/@font-face/g)!.length).toBeGreaterThan(10)
})

describe('fonts out of WOFF files', () => {
  const files = readdirSync(path.join(ROOT, 'node_modules/@fontsource/ibm-plex-mono/files')).filter((name) =>
    /-(latin|latin-ext|cyrillic)-400-normal\.woff$/.test(name),
  )
  // OpenType 1.9, "Calculating Checksums": the sum of a table's words of 32 bits; that of "head" without its own adjustment.
  test.each(files)('%s keeps every table, by its checksum', (name) => {
    const font = trueTypeOf(
      readFileSync(path.join(ROOT, 'node_modules/@fontsource/ibm-plex-mono/files', name)),
    )
    const count = font.readUInt16BE(4)
    expect(count).toBeGreaterThan(8)
    for (let at = 0; at < count; at += 1) {
      const entry = 12 + at * 16
      const tag = font.toString('latin1', entry, entry + 4)
      const [stated, offset, length] = [4, 8, 12].map((place) => font.readUInt32BE(entry + place))
      let sum = 0
      for (let word = 0; word < Math.ceil(length! / 4); word += 1)
        if (tag !== 'head' || word !== 2) sum = (sum + font.readUInt32BE(offset! + 4 * word)) >>> 0
      expect([tag, sum]).toEqual([tag, stated])
    }
  })
})
