import { type ColumnKind, LONGEST_NAME, MAX_COLUMNS } from '@/desk/sampleDraft'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import type { Pieces } from '@/desk/pieces'
import { isMissingWord } from '../reading/missingWords'
import { type Column, IN_MEMORY, inMemory, type Keeping, type KeptColumn } from './columns'
import { type ColumnBuilder, numberBuilder, textBuilder } from './columnBuilders'
import { asDates } from './dateColumn'
import type { SheetFormat } from './format'
import { RowReader } from './rowReader'
import { sheetProblems } from './sheetProblems'

/** Rows that are looked at before the whole file is read. */
const GLANCED_ROWS = 1000
/** So many bytes at a time while only the first rows are wanted. */
const GLANCED_BYTES = 16 * 1024

export type Sheet = Readonly<{
  columns: readonly Column[]
  rowCount: number
  /** The names of all columns of the file, wanted or not. */
  names: readonly string[]
  /** Words found in columns of numbers that look as if they stand for a missing figure, and how often. */
  missingWords: readonly Readonly<{ column: string; word: string; count: number }>[]
}>

/** A sheet whose columns may stand elsewhere than in memory. */
export type KeptSheet = Omit<Sheet, 'columns'> & Readonly<{ columns: readonly KeptColumn[] }>

export type SheetSource = () => Pieces

export type SheetQuestion = Readonly<{
  /** Opens the file from its beginning; a second time where a column of numbers turns out to be one of texts. */
  source: SheetSource
  format: SheetFormat
  /** The columns wanted, by name; all where absent. */
  wanted?: readonly string[] | undefined
  /** The words that stand for a figure that is missing; absent: every word that looks like it. */
  missingWords?: readonly string[] | undefined
  /** What each column holds, where that is known; absent: told from its cells. */
  kinds?: readonly ColumnKind[] | undefined
  /** Stops once so many rows were read; absent: reads them all. */
  maxRows?: number | undefined
  onProgress?: ((rows: number, bytes: number) => void) | undefined
}>

/**
 * Reads a sheet file straight from its bytes into columns.
 *
 * Every column is taken as numbers first. One with any other text in it becomes a column of texts; where such a text does not
 * stand among the first rows, the file is read once more, so that no text is ever made from a number.
 *
 * @returns the columns, or the first problem, with its line
 */
export async function readSheet(question: SheetQuestion): Promise<Outcome<Sheet>> {
  const read = await keepSheet(question, IN_MEMORY)
  return read.ok ? success({ ...read.value, columns: read.value.columns.map(inMemory) }) : read
}

/**
 * The same, with the columns kept elsewhere.
 *
 * @param keeping - where; what is read in vain stays there unused
 */
export async function keepSheet(question: SheetQuestion, keeping: Keeping): Promise<Outcome<KeptSheet>> {
  const wanted = question.maxRows ?? Infinity
  // The first rows tell most columns of texts, so that the whole of a file is rarely read twice.
  let rows = Math.min(wanted, GLANCED_ROWS)
  const texts = new Set(question.kinds?.flatMap((kind, at) => (kind === 'number' ? [] : [at])))
  for (;;) {
    const read = await readOnce({ ...question, maxRows: rows }, texts, keeping)
    if (!read.ok) return read
    const { sheet, turned, isCutOff } = read.value
    const isAll = !isCutOff || rows === wanted
    if (isAll && turned.size === 0) return success(sheet)
    for (const column of turned) texts.add(column)
    rows = wanted
  }
}

/** What was read, which columns of numbers turned out to be texts, and whether there is more. */
type Once = Readonly<{ sheet: KeptSheet; turned: ReadonlySet<number>; isCutOff: boolean }>

async function readOnce(
  question: SheetQuestion,
  texts: ReadonlySet<number>,
  keeping: Keeping,
): Promise<Outcome<Once>> {
  const taker = new ColumnTaker(question, texts, keeping)
  const reader = new RowReader(question.format, taker)
  let bytes = 0
  const max = question.maxRows ?? Infinity
  for await (const chunk of question.source()) {
    const step = max === Infinity ? chunk.length : GLANCED_BYTES
    for (let at = 0; at < chunk.length; at += step) {
      const problem = reader.push(chunk.subarray(at, at + step))
      if (problem) return failure(problem)
      if (taker.rowCount >= max) return success(onceOf(taker, true))
    }
    bytes += chunk.length
    question.onProgress?.(taker.rowCount, bytes)
  }
  const problem = reader.finish() ?? taker.emptiness()
  return problem ? failure(problem) : success(onceOf(taker, false))
}

function onceOf(taker: ColumnTaker, isCutOff: boolean): Once {
  return { sheet: taker.sheet(), turned: taker.turned, isCutOff }
}

/** Gives each cell to its column. */
class ColumnTaker {
  rowCount = 0
  readonly turned: Set<number>
  private builders: (ColumnBuilder | undefined)[] | undefined
  names: readonly string[] = []
  private readonly missing = new Map<string, { column: string; word: string; count: number }>()
  private readonly question: SheetQuestion
  private readonly keeping: Keeping

  constructor(question: SheetQuestion, texts: ReadonlySet<number>, keeping: Keeping) {
    this.question = question
    this.keeping = keeping
    this.turned = new Set(texts)
  }

  /** The cells of one row: where each begins and ends. */
  row(bytes: Uint8Array, bounds: Int32Array, count: number, line: number): Problem | undefined {
    if (!this.builders) {
      const problem = this.begin(bytes, bounds, count)
      if (problem || this.question.format.header === 'first-row') return problem
    }
    const builders = this.builders!
    if (count !== builders.length) return sheetProblems.unevenRow(line, count, builders.length)
    this.rowCount += 1
    for (let i = 0; i < count; i += 1) {
      const builder = builders[i]
      if (!builder) continue
      const seen = builder.add(bytes, bounds[2 * i]!, bounds[2 * i + 1]!)
      if (seen === undefined) continue
      if (seen === 'too-large') {
        const text = new TextDecoder('utf-8', { ignoreBOM: true }).decode(
          bytes.subarray(bounds[2 * i], bounds[2 * i + 1]),
        )
        return sheetProblems.tooLarge(line, this.names[i]!, text)
      }
      // The rest of it is not needed in this reading.
      this.turned.add(i)
      builders[i] = undefined
    }
    return undefined
  }

  emptiness(): Problem | undefined {
    if (!this.builders) return sheetProblems.empty()
    return this.rowCount === 0 ? sheetProblems.onlyHeader() : undefined
  }

  sheet(): KeptSheet {
    const { format, kinds } = this.question
    const columns = this.builders!.flatMap((builder, at) => {
      const column = builder?.finish()
      if (!column) return []
      const mayBeDates =
        column.kind !== 'number' && column.kind !== 'date' && (kinds?.[at] ?? 'date') === 'date'
      return [(mayBeDates ? asDates(column, format.dateOrder, this.keeping) : undefined) ?? column]
    })
    return { columns, rowCount: this.rowCount, names: this.names, missingWords: [...this.missing.values()] }
  }

  private begin(bytes: Uint8Array, bounds: Int32Array, count: number): Problem | undefined {
    if (count > MAX_COLUMNS) return sheetProblems.tooManyColumns(count, MAX_COLUMNS)
    const { encoding, decimalMark, thousands, header } = this.question.format
    const decoder = new TextDecoder(encoding, { ignoreBOM: true })
    this.names = Array.from({ length: count }, (_, i) => {
      const name = header === 'none' ? '' : decoder.decode(bytes.subarray(bounds[2 * i], bounds[2 * i + 1]))
      return name.trim() || `Column ${i + 1}`
    })
    const long = this.names.findIndex(({ length }) => length > LONGEST_NAME)
    if (long >= 0) return sheetProblems.nameTooLong(long + 1, this.names[long]!.length, LONGEST_NAME)
    const twice = this.names.find((name, i) => this.names.indexOf(name) !== i)
    if (twice !== undefined) return sheetProblems.headerTwice(twice)
    const mark = decimalMark === 'comma' ? 0x2c : 0x2e
    const { question, keeping } = this
    const { wanted } = question
    this.builders = this.names.map((name, i) => {
      if (wanted && !wanted.includes(name)) return undefined
      if (this.turned.has(i)) return textBuilder({ name, encoding, keeping })
      return numberBuilder({
        name,
        encoding,
        mark,
        thousands,
        isMissing: (word) => this.isMissing(name, word),
        chunks: keeping.numbers(),
      })
    })
    // What was turned before is known; from here on only what turns in this reading counts.
    this.turned.clear()
    return undefined
  }

  /** Counts a word that stands for a missing figure. */
  private isMissing(column: string, word: string): boolean {
    const { missingWords } = this.question
    if (!(missingWords ? missingWords.includes(word) : isMissingWord(word))) return false
    const key = `${column}\n${word}`
    const known = this.missing.get(key)
    if (known) known.count += 1
    else this.missing.set(key, { column, word, count: 1 })
    return true
  }
}
