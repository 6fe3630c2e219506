import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { unzipSync } from 'fflate'
import { SaxesParser } from 'saxes'
import { DELIVERIES, exampleCase, type Example, SACKS, UNFINISHED } from '@tests/exampleCase'
import { signedFinding, withSigned } from '@tests/signedFinding'
import { check } from '@/answers/check'
import { isTested } from '@/claims/checkAnswer'
import type { CaseContent, ContentClaim } from '@/casefile/content'
import { optionsIn, PARTS } from '@/desk/reportOptions'
import { readClaimAgainst } from '@/intake/claimDocument'
import { formatSure } from '@/words/figures'
import { type Block, captionOf, type Report } from './document/document'
import { reportFile } from './files'
import { reportOf } from './report'
import { signedReportOf } from './signedReport'

const WRITER = '/usr/bin/lowriter'
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-read-back-'))
const masses = (count: number) =>
  Array.from({ length: count }, (_, at) => (15 + Math.sin(at * 12.9898) / 10).toFixed(3)).join('\n')
const of = (claim: Example['claim'], sample: Example['sample'] = SACKS.sample): CaseContent =>
  exampleCase([{ claim: { ...SACKS.claim, ...claim }, sample }])
const FOREIGN = 'Мешки Säcke σάκοι ≥ ½ kg'
const LONG = 'a-name-that-goes-on-without-a-blank-'.repeat(12)

/** Ten cases of every kind, and the report of each. */
const CASES: Readonly<Record<string, () => Promise<Report>>> = {
  'of a mean, with readings set aside, and of a share': () =>
    reportOf(exampleCase([SACKS, DELIVERIES, UNFINISHED]), optionsIn({})),
  'of a spread': () =>
    reportOf(
      of({ parameter: 'standard-deviation', claimedValue: '0.12', relation: 'at-most' }),
      optionsIn({}),
    ),
  'of a median': () => reportOf(of({ parameter: 'median' }), optionsIn({})),
  'of a rate': () =>
    reportOf(
      of(
        {
          parameter: 'rate',
          claimedValue: '2',
          exposureUnit: '1,000 deliveries',
          relation: 'at-most',
          unit: '',
        },
        { name: 'Complaints', kind: 'events', events: '41', exposure: '12400' },
      ),
      optionsIn({}),
    ),
  'with long and foreign names': () =>
    reportOf(
      exampleCase(
        [
          {
            claim: { ...SACKS.claim, wording: FOREIGN, quantity: LONG },
            sample: { ...SACKS.sample, name: LONG },
          },
        ],
        `${FOREIGN} ${'subject '.repeat(60)}`,
      ),
      optionsIn({ unstated: 'named' }),
    ),
  'of thirty claims': () => reportOf(exampleCase(Array.from({ length: 30 }, () => SACKS)), optionsIn({})),
  'of 20,000 readings': () =>
    reportOf(
      of({}, { ...SACKS.sample, readings: masses(20_000), setAside: [], lotSize: '' }),
      optionsIn({ parts: PARTS.filter((part) => part !== 'cross-examination').join() }),
    ),
  'signed, and changed since': async () => {
    const signed = of({ claimedValue: '15.02' })
    const findings = [await signedFinding(signed, 1)]
    return reportOf(withSigned(of({ claimedValue: '14.99' }), findings), optionsIn({}))
  },
  'of a signed finding that replaces another': async () => {
    const findings = [await signedFinding(of({ claimedValue: '15.02' }), 1), await signedFinding(of({}), 2)]
    return signedReportOf(withSigned(of({}), findings), findings[1]!, optionsIn({ numbers: 'comma' }))
  },
  'of two sources': () => {
    const other = { name: 'Sacks of line 1', readings: '14.5 15.4 14.7 15.2 14.9 15.6 14.2 15.05' }
    const two = exampleCase([SACKS, { claim: {}, sample: other }])
    const [claim] = two.claims
    const draft = {
      ...claim!.draft,
      ...{ parameter: 'variance-ratio', claimedValue: '1', unit: 'kg', relation: 'at-most' },
      secondSampleId: two.samples[1]!.id,
    } as ContentClaim['draft']
    return reportOf({ ...two, claims: [{ ...claim!, draft }] }, optionsIn({}))
  },
}

/** What a report says, in the order in which it says it; what is written in its pictures is their own. */
const textsOf = ({ parts }: Report): readonly string[] =>
  parts.flatMap(({ title, blocks }) => [title, ...blocks.flatMap(blockTexts)])

function blockTexts(block: Block): readonly string[] {
  switch (block.is) {
    case 'paragraph':
      return [block.text]
    case 'list':
      return block.items
    case 'facts':
      return block.rows.flat()
    case 'table':
      return [...block.heads, ...block.rows.flat()]
    case 'outcome':
      return [block.words]
    case 'picture':
      return [captionOf(block)]
    case 'formula':
      return [block.name, block.text]
    default:
      return block satisfies never
  }
}

const wordsOf = (texts: readonly string[]): readonly string[] =>
  texts
    .join(' ')
    .split(/\s+/)
    .filter((word) => word !== '' && word !== '•')

async function fileOf(report: Report, format: 'pdf' | 'docx' | 'html'): Promise<string> {
  const file = path.join(folder, `${Math.random().toString(36).slice(2)}.${format}`)
  writeFileSync(file, await reportFile(report, { format, root: process.cwd() }))
  return file
}

/** The structure of a PDF as it is read aloud, without what is only seen, its contents and its pictures' labels. */
function wordsOfPdf(file: string): readonly string[] {
  const structure = execFileSync('pdfinfo', ['-struct-text', file], { encoding: 'utf8', maxBuffer: 2 ** 27 })
  const texts: string[] = []
  let within = ''
  // What goes on over the page is one text in two pieces.
  let isOpen = false
  for (const line of structure.split('\n')) {
    const text = /^ *"(.*)"$/.exec(line)?.[1]
    if (text === undefined) within = /^ *([A-Z]\w*)/.exec(line)?.[1] ?? within
    else if (within !== 'Figure' && within !== 'TOCI' && text.trim() !== 'Contents')
      texts.push(isOpen ? `${texts.pop()!}${text}` : text)
    isOpen = text !== undefined
  }
  return wordsOf(texts)
}

/** The text of a DOCX file's paragraphs without its contents; the last says where it was made. */
function wordsOfDocx(bytes: Uint8Array): readonly string[] {
  const texts: string[] = []
  const parser = new SaxesParser()
  let isContents = false
  parser.on('closetag', ({ name }) => (isContents &&= name !== 'w:sdt'))
  parser.on('opentag', ({ name }) => {
    isContents ||= name === 'w:sdt'
    if (name === 'w:p' || name === 'w:br') texts.push(' ')
  })
  parser.on('text', (text) => !isContents && texts.push(text))
  parser.write(new TextDecoder().decode(unzipSync(bytes)['word/document.xml'])).close()
  return wordsOf([texts.join('')])
}

describe.each(Object.entries(CASES))('a report %s', (_, make) => {
  let report: Report
  let said: readonly string[] = []
  beforeAll(async () => {
    report = await make()
    said = wordsOf(textsOf(report))
  })

  test('is read in a PDF as it was written, word for word, none cut or joined', async () => {
    expect(wordsOfPdf(await fileOf(report, 'pdf'))).toEqual(said)
  })

  test('is read in a DOCX file as it was written, word for word', async () => {
    const words = wordsOfDocx(await reportFile(report, { format: 'docx', root: process.cwd() }))
    const end = wordsOf([`Made with True Weight from the case ${report.asOf}.`])
    expect(words).toEqual([...said, ...end])
  })

  const whereInstalled = existsSync(WRITER) ? test : test.skip
  whereInstalled(
    'is opened by LibreOffice, with all that it says',
    async () => {
      const file = await fileOf(report, 'docx')
      const profile = `-env:UserInstallation=file://${folder}/profile`
      const args = [
        profile,
        '--headless',
        '--convert-to',
        'txt:Text (encoded):UTF8',
        '--outdir',
        folder,
        file,
      ]
      expect(spawnSync(WRITER, args, { timeout: 120_000 }).status).toBe(0)
      const words = wordsOf([readFileSync(file.replace(/docx$/, 'txt'), 'utf8').replace(/^\ufeff/, '')])
      for (const word of new Set(said)) expect(words).toContain(word)
    },
    150_000,
  )
})

test('its figures are those of the command line', async () => {
  const content = exampleCase([SACKS, DELIVERIES])
  const text = wordsOf(textsOf(await reportOf(content, optionsIn({}))))
  for (const { draft } of content.claims) {
    const reading = await readClaimAgainst(draft, async (id) => content.samples.find((one) => one.id === id))
    const result = check(reading!.document!)
    if (!isTested(result)) throw new Error('It is to be tested.')
    for (const figure of [
      result.estimate.value,
      result.test.pValue!,
      result.interval!.lower,
      result.interval!.upper,
    ])
      if (figure !== undefined) expect(text).toContain(formatSure(String(figure)).replaceAll('-', '−'))
  }
})
