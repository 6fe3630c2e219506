import type { Method, Parameter } from '../terms/names'
import type { Claim } from '../terms/claim'
import type { CheckProblem } from '../prepareCheck'
import type { Burden } from '../terms/relations'

/** A reading that is named in a question or an answer. */
export type NamedReading = Readonly<{
  /** From 0, among all readings. */
  index: number
  value: number
  of: 'first' | 'second' | undefined
  claim: Pick<Claim, 'unit'>
}>

/** What is asked in a cross-examination: "Would the finding stand if …", by its name and figures. */
export type Asked =
  | Readonly<{ ask: 'one-back'; reading: NamedReading }>
  | Readonly<{ ask: 'all-back' }>
  /** Entries that could not be read and are set aside, taken for what they could be. */
  | Readonly<{
      ask: 'unreadable'
      values: readonly number[]
      count: number
      of: NamedReading['of']
      claim: NamedReading['claim']
    }>
  | Readonly<{ ask: 'without'; by: 'test' | 'fences'; readings: readonly NamedReading[] }>
  | Readonly<{ ask: 'each-left-out'; unit: 'reading' | 'unit' }>
  | Readonly<{ ask: 'burden'; burden: Burden }>
  | Readonly<{ ask: 'level'; level: number }>
  | Readonly<{ ask: 'method'; method: Method; used: Method }>
  | Readonly<{ ask: 'mid-p'; isUsed: boolean }>
  | Readonly<{ ask: 'continuity'; isCorrected: boolean }>
  | Readonly<{ ask: 'parameter'; parameter: Parameter; method: Method }>
  | Readonly<{ ask: 'turning' }>
  | Readonly<{ ask: 'smallest-gap'; power: number }>
  | Readonly<{ ask: 'planned'; power: number; isInside: boolean }>

/** One unit that was left out, or several alike. */
export type LeftOut =
  | Readonly<{ unit: 'reading'; reading: NamedReading; count: number }>
  | Readonly<{ unit: 'counted'; which: 'with' | 'without' }>

/** What else there is to say: where a finding turns, or why a question could not be asked. */
export type Remark =
  | Readonly<{ remark: 'problem'; problem: CheckProblem }>
  | Readonly<{ remark: 'no-gap' }>
  | Readonly<{ remark: 'planned-by'; method: Method }>
  | Readonly<{ remark: 'readings-needed' }>
  | Readonly<{ remark: 'too-few-left' }>
  | Readonly<{
      remark: 'left-out'
      tried: number
      turning: number
      names: readonly LeftOut[]
      untried: number
    }>
  | Readonly<{ remark: 'turning-not-sought' }>
  | Readonly<{ remark: 'never-turns' }>
