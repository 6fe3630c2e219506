import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { Worker } from 'node:worker_threads'
import ts from 'typescript'
import { readCodes } from '@/desk/codes'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { readClaimText } from '@/intake/claimText'
import { partsOfCount, readCount } from '@/intake/reading/count'
import { readDate } from '@/intake/reading/date'
import { readDay } from '@/intake/reading/day'
import { readEntry } from '@/intake/reading/entry'
import { FieldReader } from '@/intake/reading/fieldReader'
import { readNumber, readTypedNumber } from '@/intake/reading/number'
import { readRowConditions } from '@/intake/reading/rowCondition'
import { isKnownUnit } from '@/intake/reading/units'
import { readWording } from '@/intake/readWording'
import { changeOfReadings } from '@/intake/sheet/typedEdit'
import { readTypedSheet } from '@/intake/sheet/typedSheet'

/** So long a text takes a pattern that looks at each character a few times no time, and one that does so squared some seconds. */
const LENGTH = 60_000
const LONGEST_MS = 1000
const NEVER_MS = 20 * LONGEST_MS

/** Places whose patterns are only given texts of at most so many characters: what gives them is tried below. */
const BOUNDED: Readonly<Record<string, number>> = {
  'desk/codes.ts': 2000,
  'features/evidence/ColumnsTable.tsx': 1000,
  'intake/reading/count.ts': 1000,
  'intake/reading/day.ts': 1000,
  'intake/reading/entry.ts': 60,
  'intake/reading/fieldReader.ts': 1000,
  'intake/reading/rowCondition.ts': 3000,
  'intake/workbook/spreadsheetMl.ts': 510,
}

type Pattern = Readonly<{ source: string; flags: string; place: string }>

/** Every pattern that is written out in the sources. */
function patternsIn(folder: string): readonly Pattern[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
    .flatMap((name) => {
      const text = readFileSync(path.join(folder, name), 'utf8')
      const file = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true)
      const found: Pattern[] = []
      const visit = (node: ts.Node): void => {
        if (ts.isRegularExpressionLiteral(node)) {
          const end = node.text.lastIndexOf('/')
          const { line } = file.getLineAndCharacterOfPosition(node.getStart())
          found.push({
            source: node.text.slice(1, end),
            flags: node.text.slice(end + 1),
            place: `${name}:${line + 1}`,
          })
        }
        ts.forEachChild(node, visit)
      }
      visit(file)
      return found
    })
}

/** What a pattern may have to go through again and again: characters of each kind, and pieces of the pattern itself. */
function pumpsFor(source: string): readonly string[] {
  const words = source.match(/[a-z]{2,}/gi) ?? []
  const signs = [...new Set(source.replace(/\\[a-z]/gi, '').match(/[^\w\s\\]/g) ?? [])]
  const plain = [
    '1',
    '12 ',
    'a',
    'a ',
    'Z',
    ' ',
    '\t',
    '\n',
    '\u00a0',
    '.',
    ',',
    '1.',
    '1,',
    '-',
    '"',
    '00.',
    'e1',
    '\\',
  ]
  return [
    ...new Set([
      ...plain,
      ...signs,
      ...signs.map((sign) => `1${sign}`),
      ...words,
      ...words.map((word) => `${word} `),
    ]),
  ]
}

const attack = `
  const { parentPort, workerData } = require('node:worker_threads')
  const processor = () => { const { user, system } = process.cpuUsage(); return (user + system) / 1000 }
  for (const { source, flags, place, pumps, length } of workerData)
    for (const pump of pumps) {
      parentPort.postMessage({ place, source, pump })
      const begun = processor()
      for (const before of ['', '1', '"'])
        for (const after of ['', 'x', '1!']) {
          const text = before + pump.repeat(Math.ceil(length / pump.length)) + after
          const pattern = new RegExp(source, flags)
          if (flags.includes('g')) text.replace(pattern, '')
          else pattern.test(text)
        }
      parentPort.postMessage({ ms: processor() - begun })
    }
  parentPort.postMessage({ done: true })`

type Told = Readonly<{ done?: true; ms?: number; place?: string; source?: string; pump?: string }>

/**
 * Tries every pattern on every long text, and gives the first that takes too long: by the processor's time, since the machine
 * may be busy with something else, and given up where it never ends.
 */
async function slowIn(patterns: readonly Pattern[]): Promise<Told | undefined> {
  const workerData = patterns.map((pattern) => ({
    ...pattern,
    pumps: pumpsFor(pattern.source),
    length: BOUNDED[pattern.place.replace(/:\d+$/, '')] ?? LENGTH,
  }))
  const worker = new Worker(attack, { eval: true, workerData })
  try {
    return await new Promise((resolve, reject) => {
      let last: Told | undefined
      let timer: ReturnType<typeof setTimeout>
      const wait = () => (timer = setTimeout(() => resolve(last), NEVER_MS))
      wait()
      worker.on('error', reject)
      worker.on('message', (told: Told) => {
        clearTimeout(timer)
        if (told.done) return resolve(undefined)
        if (told.ms !== undefined && told.ms > LONGEST_MS) return resolve(last)
        if (told.place !== undefined) last = told
        wait()
      })
    })
  } finally {
    await worker.terminate()
  }
}

test('no pattern takes long for a long text, whatever stands in it', async () => {
  const patterns = patternsIn(path.join(process.cwd(), 'src'))
  expect(patterns.length).toBeGreaterThan(100)
  const slow: Told[] = []
  let rest = patterns
  for (;;) {
    const found = await slowIn(rest)
    if (!found) break
    slow.push(found)
    rest = rest.slice(
      rest.findIndex(({ place, source }) => place === found.place && source === found.source) + 1,
    )
  }
  expect(slow).toEqual([])
}, 600_000)

const MEGABYTE = 2 ** 20
const sample = { ...EMPTY_SAMPLE, name: 'typed' }
/** What reads texts that people and files bring. */
const READERS: Readonly<Record<string, (text: string) => unknown>> = {
  'a code list': (text) => readCodes(text),
  'a count': (text) => readCount(text, 'point'),
  'the parts of a count': partsOfCount,
  'a day': readDay,
  'a date': (text) => readDate(text, 'year-first'),
  'a number': (text) => readNumber(text, 'point'),
  'a number typed by itself': (text) => readTypedNumber(text, 'point'),
  'an entry': (text) =>
    readEntry(text, {
      mark: 'point',
      rules: [
        { rule: 'unit', text: 'kg' },
        { rule: 'thousands', text: ',' },
      ],
    }),
  'a claim as a phrase': readClaimText,
  'a wording': (text) => readWording(text, 'point'),
  conditions: readRowConditions,
  'a field': (text) =>
    new FieldReader({ significanceLevel: text }, 'point').level('significanceLevel', 'level'),
  'readings that are typed': (text) => readTypedSheet({ ...sample, readings: text }),
  'readings that are pasted': (text) => changeOfReadings({ ...sample, readings: '15' }, text),
  'a unit': isKnownUnit,
}
const LONG = [
  '1',
  '12 ',
  'a',
  'a ',
  ' ',
  '\t',
  '\n',
  '1\n',
  '1.',
  '1,',
  '-',
  '"',
  '1;',
  ' and ',
  ' or ',
  'between ',
  'not ',
  'at least ',
  '1e',
  'kg ',
  '1 of ',
]

test.each(Object.entries(READERS))('%s of a megabyte is read, or refused, at once', (_, read) => {
  for (const pump of LONG)
    for (const [before, after] of [
      ['', ''],
      ['', 'x'],
      ['mean at least 1', 'x'],
      ['1', ' kg'],
    ]) {
      const text = before + pump.repeat(MEGABYTE / pump.length) + after
      const begun = process.cpuUsage()
      try {
        read(text)
      } catch (error) {
        throw new Error(`${JSON.stringify(pump)} between ${JSON.stringify([before, after])}`, {
          cause: error,
        })
      }
      const { user, system } = process.cpuUsage(begun)
      const ms = (user + system) / 1000
      if (ms > 5 * LONGEST_MS)
        throw new Error(`${JSON.stringify(pump)} between ${JSON.stringify([before, after])}: ${ms} ms`)
    }
})
