import { convert, getMeasureKind, MeasureKind, type Unit } from 'convert'
import { failure, type Outcome, success } from '@/claims/terms/outcome'

/** How figures in one unit become figures in another. */
export type Conversion = Readonly<{
  /** A reading, or a mean of readings. */
  reading: (value: number) => number
  /** A distance between readings, such as a standard deviation. */
  distance: (value: number) => number
  /** "1 g = 0.001 kg" */
  words: string
}>

/** From a unit: (x − zero) · times / over, and back by the contrary. */
type Factor = Readonly<{ times: number; over: number; zero: number }>
type KnownUnit = Readonly<{ kind: string; toBase: Factor }>

const KINDS: ReadonlyMap<MeasureKind | undefined, string> = new Map([
  [MeasureKind.Mass, 'mass'],
  [MeasureKind.Volume, 'volume'],
  [MeasureKind.Length, 'length'],
  [MeasureKind.Time, 'time'],
  [MeasureKind.Energy, 'energy'],
  [MeasureKind.Power, 'power'],
])
/** To degrees Celsius. The package goes by way of another scale, which costs the last digits. */
const TEMPERATURES: Readonly<Record<string, Factor>> = {
  C: { times: 1, over: 1, zero: 0 },
  K: { times: 1, over: 1, zero: 273.15 },
  F: { times: 5, over: 9, zero: 32 },
}
const COUNTS: Readonly<Record<string, number>> = {
  piece: 1,
  pieces: 1,
  pcs: 1,
  unit: 1,
  units: 1,
  each: 1,
  dozen: 12,
  gross: 144,
  thousand: 1000,
}
const SPEEDS: Readonly<Record<string, string>> = {
  mph: 'mi/h',
  kmh: 'km/h',
  'km/hr': 'km/h',
  kn: 'nmi/h',
  knot: 'nmi/h',
  knots: 'nmi/h',
}
/** Levels with different weighting of the frequencies cannot be made into one another. */
const SOUND_LEVELS: Readonly<Record<string, string>> = {
  db: 'sound level in dB',
  'db(a)': 'sound level in dB(A)',
  dba: 'sound level in dB(A)',
  'db(c)': 'sound level in dB(C)',
  dbc: 'sound level in dB(C)',
}

/**
 * How readings in one unit become readings in another: masses, volumes, lengths, times, temperatures, energies, powers, speeds
 * and counts; a sound level only into the same.
 *
 * @returns no conversion where the units are the same or one is not stated; else it, or the problem `units-differ` or
 *   `unit-unknown`
 */
export function conversionBetween(from: string, to: string): Outcome<Conversion | undefined> {
  const [source, target] = [from.trim(), to.trim()]
  if (source === target || source === '' || target === '') return success(undefined)
  const [known, wanted] = [knownUnit(source), knownUnit(target)]
  const unknown = known ? (wanted ? undefined : target) : source
  if (unknown !== undefined) {
    const message = `The readings are in ${source} and the claim in ${target}, and “${unknown}” is no unit that is known here. Write both in the same unit.`
    return failure({ code: 'unit-unknown', path: 'unit', message })
  }
  if (known!.kind !== wanted!.kind) {
    const message = `The readings are in ${source}, ${known!.kind}, and the claim in ${target}, ${wanted!.kind}: the one cannot be held against the other. Correct the unit that is wrong.`
    return failure({ code: 'units-differ', path: 'unit', message })
  }
  return success(conversion(source, target, factorBetween(known!.toBase, wanted!.toBase)))
}

/** Signs at a number that say what it is of, though nothing is converted by them. */
const SIGNS = /^(%|‰|\p{Sc}|EUR|USD|GBP|CHF|JPY|CNY|SEK|NOK|DKK|PLN|CZK|CAD|AUD)$/u

/** Whether a text is a unit or a sign that is known to stand at a number. */
export const isKnownUnit = (text: string): boolean => SIGNS.test(text) || knownUnit(text) !== undefined

type Step = Readonly<{ times: number; over: number; from: number; to: number }>

function conversion(source: string, target: string, step: Step): Conversion | undefined {
  const { times, over, from, to } = step
  if (times === over && from === to) return undefined
  const distance = (value: number) => (value * times) / over
  const reading = (value: number) => distance(value - from) + to
  // "24 h = 1 d" says exactly what "1 h = 0.0416667 d" can't.
  const isPart = times === 1 && over > 1 && from === 0 && to === 0
  const words = isPart
    ? `${over} ${source} = 1 ${target}`
    : `1 ${source} = ${Number(reading(1).toPrecision(12))} ${target}`
  return { reading, distance, words }
}

/** With whole numbers where there are such, so that 14,930 g are 14.93 kg to the last digit. */
function factorBetween(source: Factor, target: Factor): Step {
  const ends = { from: source.zero, to: target.zero }
  const [times, over] = [source.times * target.over, source.over * target.times]
  const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-12 * Math.abs(value)
  if (isWhole(over / times)) return { ...ends, times: 1, over: Math.round(over / times) }
  if (Number.isInteger(times) && Number.isInteger(over)) return { ...ends, times, over }
  return { ...ends, times: isWhole(times / over) ? Math.round(times / over) : times / over, over: 1 }
}

function knownUnit(text: string): KnownUnit | undefined {
  const plain = text.replace(/^°\s*/, '').replace('μ', 'µ')
  const temperature = TEMPERATURES[plain]
  if (temperature) return { kind: 'temperature', toBase: temperature }
  const count = COUNTS[plain.toLowerCase()]
  if (count !== undefined) return scaled('count', count)
  const level = SOUND_LEVELS[plain.replace(/\s/g, '').toLowerCase()]
  if (level !== undefined) return scaled(level, 1)
  return speed(SPEEDS[plain.toLowerCase()] ?? plain) ?? measured(plain)
}

function measured(text: string): KnownUnit | undefined {
  const kind = getMeasureKind(text)
  const name = KINDS.get(kind)
  if (name === undefined) return undefined
  return scaled(name, convert(1, text as Unit & 'kg').to(BASES[name] as 'kg'))
}

const BASES: Readonly<Record<string, string>> = {
  mass: 'kg',
  volume: 'l',
  length: 'm',
  time: 's',
  energy: 'J',
  power: 'W',
}

function speed(text: string): KnownUnit | undefined {
  const [length, time, ...more] = text.split('/')
  if (time === undefined || more.length > 0) return undefined
  const [way, spell] = [measured(length!.trim()), measured(time.trim())]
  if (way?.kind !== 'length' || spell?.kind !== 'time') return undefined
  return scaled('speed', way.toBase.times / spell.toBase.times)
}

const scaled = (kind: string, times: number): KnownUnit => ({ kind, toBase: { times, over: 1, zero: 0 } })
