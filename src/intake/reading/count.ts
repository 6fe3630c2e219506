import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { type DecimalMark, LONGEST_PHRASE } from '@/desk/typed'
import { plainSpellings, readNumber } from './number'

export type Count = Readonly<{ n: number; successes: number }>

const COUNT = /^(.+?)\s*(?:(%|per ?cent)\s*)?(?:of|out of|in|\/)\s*(.+)$/i
/** Two numbers with nothing but a space between them, neither with its thousands set apart by one. */
const PAIR = /^(\d+) (\d{4,}|\d{1,2})$/

/**
 * Reads a count such as "18 of 40", "216/1,200", "18 40" or "45 % of 40".
 *
 * @returns the count, or the problem `count-not-read`, or `count-not-whole` where a share is of no whole count
 */
export function readCount(text: string, mark: DecimalMark): Outcome<Count> {
  const [, part, percent, whole] = partsIn(text)
  const [first, total] = [percent ? number(part, mark) : counted(part, mark), counted(whole, mark)]
  if (first === undefined || total === undefined || !Number.isInteger(total) || total < 1 || first < 0)
    return failure(
      problem(
        'count-not-read',
        `“${text}” is no count. Write it with digits only, such as 18 of 40, or 45 % of 40.`,
      ),
    )
  const max = percent ? 100 : total
  if (first > max) return failure(problem('count-not-read', `“${text}” is more than all of them. ${MORE}`))
  const successes = percent ? (first * total) / 100 : first
  const nearest = Math.round(successes)
  if (Math.abs(successes - nearest) < 1e-9 * total) return success({ n: total, successes: nearest })
  return failure(problem('count-not-whole', notWhole(text, successes, total)))
}

/** The two numbers of a count as they stand: how many, and of how many; the latter empty where it is not said. */
export function partsOfCount(text: string): readonly [string, string] {
  const [, part, percent = '', whole] = partsIn(text)
  if (part === undefined || whole === undefined) return [text, '']
  return [percent === '' ? part : `${part} ${percent}`, whole]
}

const MORE = 'Check both numbers.'

function notWhole(text: string, successes: number, total: number): string {
  const near = [Math.floor(successes), Math.ceil(successes)].map((count) => {
    const share = ((100 * count) / total).toFixed(2).replace(/\.?0+$/, '')
    return `${count} of ${total} is ${share} %`
  })
  const seen = Number(successes.toPrecision(6))
  return `“${text}” is ${seen}, which is no whole count: ${near.join(', ')}. Which count was it? Write it as such.`
}

function partsIn(text: string) {
  if (text.length > LONGEST_PHRASE) return []
  return COUNT.exec(text.trim()) ?? withoutWord(text)
}

const withoutWord = (text: string) => {
  const [, part, whole] = PAIR.exec(text.trim()) ?? []
  return [text, part, undefined, whole]
}

/** A count has no decimals, so that three digits behind a mark are thousands, unless they are three noughts: 40.000 may be 40. */
function counted(text: string | undefined, mark: DecimalMark): number | undefined {
  const plain = number(text, mark)
  if (text === undefined || (plain !== undefined && Number.isInteger(plain)))
    return /[.,]\d/.test(text ?? '') ? undefined : plain
  const [whole] = plainSpellings(text, mark)
  return whole === undefined ? plain : number(whole, mark)
}

function number(text: string | undefined, mark: DecimalMark): number | undefined {
  const reading = text === undefined ? undefined : readNumber(text, mark)
  return reading?.ok ? reading.value : undefined
}

const problem = (code: string, message: string): Problem => ({ code, path: 'count', message })
