import * as z from 'zod/mini'
import { ALTERNATIVES } from '@/statistics/inference/alternative'
import { INTERVAL_SIDES } from '@/statistics/inference/interval'
import { type METHOD_DEFINITIONS, methodOf, methodsFor, type PARAMETER_DEFINITIONS, parameterOf } from './all'
import { type Method, METHODS, type Parameter, PARAMETERS } from './terms/names'
import { conditionSchema } from './terms/conditionSchema'
import type { EffectSizeFigures, ParameterDefinition } from './terms/definition'
import type { SampleKind } from './terms/sample'
import { DECISIONS } from './decision'
import { OUTCOMES } from './finding'
import { BURDENS } from './terms/relations'
import { SAMPLE_FIGURES } from './terms/sampleFigures'
import { ITEM_FIGURES, type ItemFigures } from './share/itemFigures'

const figure = z.number()
const optional = z.optional(figure)
const ends = { lower: optional, upper: optional }
const probability = { pValue: optional, logPValue: optional }
const sides = z.enum(INTERVAL_SIDES)
const parameter = z.enum(PARAMETERS)

const distribution = z.discriminatedUnion('name', [
  z.strictObject({ name: z.literal('normal') }),
  z.strictObject({ name: z.literal('t'), df: figure }),
  z.strictObject({ name: z.literal('chi-square'), df: figure }),
  z.strictObject({ name: z.literal('f'), df1: figure, df2: figure }),
  z.strictObject({ name: z.literal('noncentral-t'), df: figure, ncp: figure }),
  z.strictObject({ name: z.literal('binomial'), n: figure, p: figure }),
  z.strictObject({ name: z.literal('hypergeometric'), lotSize: figure, marked: figure, n: figure }),
  z.strictObject({ name: z.literal('poisson'), mean: figure }),
  z.strictObject({
    name: z.literal('signed-rank'),
    n: figure,
    ranks: z.optional(z.readonly(z.array(figure))),
  }),
])

const point = z.strictObject({ parameter, relation: z.enum(['≥', '≤', '=', '≠', '<', '>']), value: figure })
const range = z.strictObject({
  parameter,
  relation: z.enum(['inside', 'outside']),
  value: figure,
  lower: figure,
  upper: figure,
})
const claimIs = z.enum(['null', 'alternative'])
const burden = z.enum(BURDENS)
const hypothesesSchema = z.union([
  z.strictObject({
    null: point,
    alternative: point,
    claimIs,
    burden,
    alternativeSide: z.enum(ALTERNATIVES),
  }),
  z.strictObject({
    null: range,
    alternative: range,
    claimIs,
    burden,
    alternativeSide: z.enum(['inside', 'outside']),
  }),
])

/** One way of deciding: what is compared with what, and what that says of the null hypothesis. */
const waySchema = z.discriminatedUnion('way', [
  z.strictObject({ way: z.literal('p-value'), ...probability, limit: figure, rejects: z.boolean() }),
  z.strictObject({
    way: z.literal('statistic'),
    statistics: z.array(figure),
    limits: z.array(z.strictObject(ends)),
    rejects: z.boolean(),
  }),
  z.strictObject({
    way: z.literal('interval'),
    ...ends,
    level: figure,
    sides,
    against: z.array(figure),
    rejects: z.boolean(),
  }),
])

const limits = {
  /** On the statistic's scale, the lower first. */
  criticalValues: z.array(figure),
  /** The same limits as values of the estimate. */
  criticalEstimates: z.array(figure),
}

const shapeOfPart = <Own extends z.ZodMiniType>(own: Own) => ({
  /** A p-value and its log: the former absent where it lies below the range of a double, the latter where it is 0. */
  ...probability,
  statistic: figure,
  distribution: z.optional(distribution),
  ...limits,
  /** The method's own figures on the way to the statistic. */
  figures: own,
})

/** A test by one method: of one value, or of both limits of a tolerance, whose two statistics are in `parts`. */
function testSchemaOf<Name extends Method, Own>(
  method: Readonly<{ name: Name; figures: z.ZodMiniType<Own> }>,
) {
  const own = method.figures
  const shared = {
    method: z.literal(method.name),
    significanceLevel: figure,
    decision: z.enum(DECISIONS),
    /** The same decision reached by each way that the method has. */
    ways: z.array(waySchema),
  }
  return z.union([
    z.strictObject({ ...shared, ...shapeOfPart(own) }),
    z.strictObject({
      ...shared,
      ...probability,
      distribution: z.optional(distribution),
      ...limits,
      /** The tests of the lower limit and of the upper. */
      parts: z.array(z.strictObject(shapeOfPart(own))).check(z.length(2)),
    }),
  ])
}

const reportedShape = {
  ...ends,
  level: figure,
  sides,
  method: z.string(),
  /** The level that the ends truly have, where only some levels can be had. */
  trueLevel: optional,
}
const intervalShape = { ...reportedShape, holdsClaimedValue: z.boolean() }
const stepSchema = z.strictObject({ name: z.string(), latex: z.string(), text: z.string() })
export const warningSchema = z.strictObject({ code: z.string(), message: z.string() })

type OwnFigures<Definition> = Definition extends { readonly figures: z.ZodMiniType<infer Own> } ? Own : never
type TestSchema = {
  [Name in Method]: ReturnType<typeof testSchemaOf<Name, OwnFigures<(typeof METHOD_DEFINITIONS)[Name]>>>
}[Method]

/** What a check of one parameter comes to: the kind of result has only the figures that mean something for it. */
function resultSchemaOf<Name extends Parameter, Kind extends SampleKind, Effect extends z.core.$ZodShape>(
  definition: ParameterDefinition<Name, Kind, Effect>,
) {
  const { name, sample, effectSize, alsoAs } = definition
  const [first, ...others] = methodsFor(name).map((one) => testSchemaOf(methodOf(one))) as TestSchema[]
  const also = z.optional(z.strictObject({ ...ends, parameter }))
  return z.strictObject({
    id: z.optional(z.string()),
    ok: z.literal(true),
    coreVersion: z.string(),
    kind: z.literal(name),
    hypotheses: hypothesesSchema,
    sample: SAMPLE_FIGURES[sample],
    test: z.union([first!, ...others]),
    estimate: z.strictObject({ parameter: z.literal(name), value: figure, difference: figure }),
    interval: z.optional(
      z.strictObject({
        ...intervalShape,
        /** For a spread, the same ends as variances or as standard deviations. */
        ...((alsoAs ? { alsoAs: also } : {}) as { alsoAs: typeof also }),
      }),
    ),
    ...((sample === 'counted' ? ITEM_FIGURES : {}) as typeof ITEM_FIGURES),
    ...((effectSize ? { effectSize: z.optional(z.strictObject({ ...ends, ...effectSize.shape })) } : {}) as {
      effectSize: z.ZodMiniOptional<z.ZodMiniObject<typeof ends & Effect, z.core.$strict>>
    }),
    conditions: z.array(conditionSchema),
    /** The same test at a second level, where one is asked for: read beside the first, at which the finding is made. */
    second: z.optional(
      z.strictObject({
        significanceLevel: figure,
        decision: z.enum(DECISIONS),
        outcome: z.enum(OUTCOMES),
        ...limits,
        interval: z.optional(z.strictObject({ ...ends, level: figure })),
      }),
    ),
    /** The robust test where a condition of the test made is not met. */
    beside: z.optional(
      z.strictObject({ method: z.enum(METHODS), outcome: z.enum(OUTCOMES), ...probability }),
    ),
    finding: z.strictObject({
      outcome: z.enum(OUTCOMES),
      sentence: z.string(),
      limits: z.string(),
      /** What a test comes to that bears the shape that this one does not, where the readings show such a one. */
      beside: z.optional(z.string()),
      /** What became of the entries that the figures were taken from, where it is not nothing. */
      basis: z.optional(z.string()),
      /** Of items by their readings: beyond which limit the claimed share of them lies, and what is not told. */
      items: z.optional(z.array(z.string())),
    }),
    /** The formulas with the sample's numbers put in, step by step. */
    working: z.array(stepSchema),
    warnings: z.array(warningSchema),
  })
}

type ResultSchema = {
  [Name in Parameter]: (typeof PARAMETER_DEFINITIONS)[Name] extends ParameterDefinition<
    Name,
    infer Kind,
    infer Effect
  >
    ? ReturnType<typeof resultSchemaOf<Name, Kind, Effect>>
    : never
}[Parameter]

/** What a check came to, a member for each parameter: the one source of its type, its JSON Schema and OpenAPI. */
export const checkResultSchema = z.discriminatedUnion(
  'kind',
  PARAMETERS.map((name) => resultSchemaOf(parameterOf(name))) as unknown as [ResultSchema],
)

/** Plain data that nobody changes. */
export type Plain<T> = T extends readonly (infer One)[]
  ? readonly Plain<One>[]
  : T extends object
    ? { readonly [Key in keyof T]: Plain<T[Key]> }
    : T

export type CheckResult = Plain<z.infer<typeof checkResultSchema>>
export type TestFigures = CheckResult['test']
type RangeTest = Extract<TestFigures, { parts: unknown }>
export type TestPart = RangeTest['parts'][number]
export type WayToDecide = TestFigures['ways'][number]
export type IntervalFigures = Plain<z.infer<z.ZodMiniObject<typeof intervalShape, z.core.$strict>>> & {
  readonly alsoAs?:
    | {
        readonly parameter: (typeof PARAMETERS)[number]
        readonly lower?: number | undefined
        readonly upper?: number | undefined
      }
    | undefined
}
/** A p-value and its log: the former absent where it lies below the range of a double, the latter where it is 0. */
export type Probability = Readonly<{ pValue?: number | undefined; logPValue?: number | undefined }>
export type ComputedFigures = Pick<CheckResult, 'sample' | 'test' | 'estimate' | 'interval'> &
  Readonly<{ effectSize?: EffectSizeFigures | undefined }> &
  ItemFigures
