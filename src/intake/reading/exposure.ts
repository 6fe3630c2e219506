import type { DecimalMark } from '@/desk/typed'
import { plainSpellings, readTypedNumber } from './number'

/** What a rate is per: so many of something. */
export type ExposureUnit = Readonly<{ amount: number; of: string }>

/**
 * Reads what a rate is per: "1,000 deliveries" as 1000 of "deliveries", "hour" as 1 of "hour".
 *
 * @returns undefined where it names nothing, or an amount that is none
 * @example
 * readExposureUnit('1,000 deliveries', 'point') // { amount: 1000, of: 'deliveries' }
 */
export function readExposureUnit(text: string, mark: DecimalMark): ExposureUnit | undefined {
  const words = text.trim().split(/\s+/)
  const first = words.findIndex((word) => !/^\d/.test(word))
  const of = first < 0 ? '' : words.slice(first).join(' ')
  if (of === '' || first === 0) return of === '' ? undefined : { amount: 1, of }
  const written = words.slice(0, first).join(' ')
  // Three digits behind a mark or a space are thousands here: nothing is claimed per a thousandth of a thing.
  const [thousands] = plainSpellings(written, mark)
  const amount = readTypedNumber(thousands ?? written, mark)
  return amount.ok && amount.value > 0 ? { amount: amount.value, of } : undefined
}
