import { content } from '@/answers/content'
import { isControl } from '@/claims/checkAnswer'
import { R87, tolerableDeficiency } from '../terms/controlPlan'
import { readReference } from '@tests/reference/reference'

type Sample = Readonly<{
  id: string
  input: Readonly<Record<'nominal' | 'lotSize', string>> &
    Readonly<Partial<Record<'contents' | 'gross' | 'tare' | 'empty_packs' | 'net_mass', readonly string[]>>> &
    Readonly<{ density?: string }>
  n: string
  plan: Readonly<{ n: string | null; c: string | null; n_is_the_plans: boolean }>
  T: string
  criterion_1: Readonly<Record<'mean_error' | 'sd' | 'factor' | 'mean_plus_factor_sd', string | null>> &
    Readonly<{ met: boolean | null }>
  criterion_2: Readonly<{
    short_by_more_than_T: string
    at_most: string | null
    p_binomial: string | null
    met: boolean
  }>
  criterion_3: Readonly<{ short_by_more_than_2T: string; met: boolean }>
  all_met: boolean | null
  mean_tare?: string
}>

// Decimals as written, t quantiles by mpmath; plan and deficiencies of OIML R 87 from memory: see tests/reference/SOURCES.md.
const reference = readReference<{
  samples: readonly Sample[]
  T_table: readonly Readonly<{ nominal: string; T: string | null }>[]
  plan_against_binomial: readonly Readonly<{
    n: string
    c_of_the_plan: string
    p_at_c_plus_1: string
    p_at_c: string
    c_by_the_binomial_test_at_5_percent: string
  }>[]
}>('content_control.json')

function controlled({ input }: Sample) {
  const { contents, gross, tare, empty_packs: empty, net_mass: mass, density, nominal, lotSize } = input
  const answered = content({
    content: {
      nominal: Number(nominal),
      unit: density === undefined ? 'g' : 'mL',
      lotSize: Number(lotSize),
      ...(gross ? { gross: gross.map(Number) } : { values: (contents ?? mass)!.map(Number) }),
      ...(tare ? { tare: tare.map(Number) } : empty ? { tare: { emptyPacks: empty.map(Number) } } : {}),
      ...(density === undefined ? {} : { density: Number(density) }),
    },
  })
  if (!answered.ok) throw new Error(answered.error.message)
  return answered
}

test.each(reference.samples.map((sample) => [sample.id, sample] as const))(
  'three criteria: %s',
  (_, sample) => {
    const { content: found, finding, warnings } = controlled(sample)
    const near = Number(sample.input.nominal) * 1e-12
    const isNear = (value: number | undefined, expected: string | null) => {
      if (expected === null) return expect(value).toBeUndefined()
      expect(Math.abs(value! - Number(expected))).toBeLessThanOrEqual(near)
    }
    const { criterion_1: first, criterion_2: second, criterion_3: third, plan } = sample
    isNear(found.average.meanError, first.mean_error)
    isNear(found.average.standardDeviation, first.sd)
    isNear(found.average.factor, first.factor)
    isNear(found.average.sum, first.mean_plus_factor_sd)
    expect(found.average.met ?? null).toBe(first.met)
    expect(found.tolerableDeficiency).toBe(Number(sample.T))
    expect(found.plan.n ?? null).toBe(plan.n === null ? null : Number(plan.n))
    expect(found.plan.isThePlans).toBe(plan.n_is_the_plans)
    expect(found.beyondT.rows).toHaveLength(Number(second.short_by_more_than_T))
    expect(found.beyondT.met).toBe(second.met)
    if (second.at_most !== null) expect(found.beyondT.allowed).toBe(Number(second.at_most))
    if (second.p_binomial === null) expect(found.beyondT.pValue).toBeUndefined()
    else expect(found.beyondT.pValue! / Number(second.p_binomial)).toBeCloseTo(1, 11)
    expect(found.beyondTwiceT.rows).toHaveLength(Number(third.short_by_more_than_2T))
    expect(found.beyondTwiceT.met).toBe(third.met)
    expect(finding.outcome).toBe(
      [first.met, second.met, third.met].includes(false) ? 'contradicted' : 'not-contradicted',
    )
    if (sample.mean_tare !== undefined)
      expect(found.meanTare!.value / Number(sample.mean_tare)).toBeCloseTo(1, 13)
    const codes = warnings.map(({ code }) => code)
    expect(codes.includes('not-the-plans-n')).toBe(!plan.n_is_the_plans)
    expect(codes.includes('average-not-judged')).toBe(first.met === null)
  },
)

test.each(reference.T_table.map(({ nominal, T }) => [nominal, T] as const))('T of %s is %s', (nominal, T) => {
  expect(tolerableDeficiency(R87, Number(nominal))).toBe(T === null ? undefined : Number(T))
})

test('with another number of packs the count is held against a binomial distribution', () => {
  for (const row of reference.plan_against_binomial) {
    const n = Number(row.n)
    const allowed = Number(row.c_by_the_binomial_test_at_5_percent)
    const answered = content({ content: { nominal: 500, unit: 'g', values: new Array<number>(n).fill(500) } })
    if (!isControl(answered)) throw new Error('not judged')
    expect(answered.content.beyondT).toEqual({ rows: [], allowed, pValue: 1, met: true })
    const said = answered.warnings.find(({ code }) => code === 'not-the-plans-n')!.message
    // Where the plan's own count for so many packs is another one, that is said.
    expect(said.includes(`allows ${row.c_of_the_plan}`)).toBe(allowed !== Number(row.c_of_the_plan))
  }
})
