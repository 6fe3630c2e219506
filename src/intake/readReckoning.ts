import { DISTRIBUTION_FIELDS, type DistributionField, type ReckonDraft } from '@/desk/reckonDraft'
import type { NamedDistribution } from '@/statistics/distributions/named'
import { FIELD_NAMES } from '@/words/en/reckonWords'
import { ANY, type FieldProblem, FieldReader } from './reading/fieldReader'

export type ReckonField = DistributionField | 'text' | 'level'

/** A reckoning as numbers: absent is what can't be read, or is not there yet. */
export type ReckoningRead = Readonly<{
  distribution?: NamedDistribution
  point?: number
  probability?: number
  /** The level beside the usual ones. */
  level?: number
  missing: readonly string[]
  problems: readonly FieldProblem<ReckonField>[]
}>

/** Reads what was typed of a reckoning; whether it is in range the core says. */
export function readReckoning({ name, fields, given, text, level }: ReckonDraft): ReckoningRead {
  const reader = new FieldReader<ReckonField>({ ...fields, text, level }, 'point')
  const own = Object.keys(DISTRIBUTION_FIELDS[name]) as readonly DistributionField[]
  const numbers = own.map((field) => [
    field,
    field === 'p' ? reader.share(field, FIELD_NAMES[field]) : reader.number(field, FIELD_NAMES[field], ANY),
  ])
  const isWhole = numbers.every(([, value]) => value !== undefined)
  const missing = own.filter((field) => reader.text(field) === '').map((field) => FIELD_NAMES[field])
  const isPoint = given === 'point'
  return {
    ...(isWhole ? { distribution: { name, ...Object.fromEntries(numbers) } as NamedDistribution } : {}),
    ...known('point', isPoint ? reader.number('text', 'point', ANY) : undefined),
    ...known('probability', isPoint ? undefined : reader.level('text', 'probability')),
    ...known('level', reader.level('level', 'level')),
    missing: reader.text('text') === '' ? [...missing, isPoint ? 'point' : 'probability'] : missing,
    problems: reader.problems,
  }
}

const known = <K extends string>(key: K, value: number | undefined) =>
  (value === undefined ? {} : { [key]: value }) as Readonly<Partial<Record<K, number>>>
