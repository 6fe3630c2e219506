import * as z from 'zod/mini'
import {
  addressWith,
  type AddressWords,
  draftFrom,
  draftFromWords,
  type Fields,
  wordsOf,
} from './addressWords'
import { canonicalJson } from './canonicalJson'
import { type ClaimDraft, claimDraftSchema, EMPTY_CLAIM } from './claimDraft'
import { EMPTY_SAMPLE, SAMPLE_KINDS, type SampleDraft, sampleDraftSchema } from './sampleDraft'

/** What the claim and the samples of the bench are known by: they are stored nowhere else. */
export const BENCH_IDS = {
  claim: '00000000-0000-4000-8000-00000000000c',
  sample: '00000000-0000-4000-8000-000000000001',
  second: '00000000-0000-4000-8000-000000000002',
} as const

/** A claim that belongs to no case, the sample that it is held against, and one for a second source. */
export type BenchCheck = Readonly<{ claim: ClaimDraft; sample: SampleDraft; second: SampleDraft }>
export type BenchPart = keyof BenchCheck

export const EMPTY_BENCH: BenchCheck = {
  claim: { ...EMPTY_CLAIM, sampleId: BENCH_IDS.sample },
  sample: EMPTY_SAMPLE,
  second: EMPTY_SAMPLE,
}

export const BENCH_PARTS = Object.keys(EMPTY_BENCH) as readonly BenchPart[]

const SHAPES: Readonly<Record<BenchPart, Fields>> = {
  claim: {
    ...claimDraftSchema.shape,
    // Of the bench's own samples, and of no others.
    sampleId: z.literal(BENCH_IDS.sample),
    secondSampleId: z.nullable(z.enum([BENCH_IDS.sample, BENCH_IDS.second])),
    lots: z.tuple([]),
    isDiscarded: z.literal(false),
  },
  sample: sampleShape(),
  second: sampleShape(),
}

/** The bench has no file, and nothing on it is discarded. */
function sampleShape(): Fields {
  return {
    ...sampleDraftSchema.shape,
    kind: z.enum(SAMPLE_KINDS.filter((kind) => kind !== 'file')),
    isDiscarded: z.literal(false),
  }
}

/** A check of the bench, as it is put into a case. */
export const benchCheckSchema = z.strictObject({
  claim: z.strictObject(SHAPES.claim),
  sample: z.strictObject(SHAPES.sample),
  second: z.strictObject(SHAPES.second),
}) as unknown as z.ZodMiniType<BenchCheck>

/** A part of a check as some version kept it. */
export const benchPartFrom = <Part extends BenchPart>(part: Part, kept: unknown): BenchCheck[Part] =>
  draftFrom(SHAPES[part], EMPTY_BENCH[part], kept)

/** Whether nothing has been written on the bench. */
export const isBenchEmpty = (check: BenchCheck): boolean => isSameCheck(check, EMPTY_BENCH)
export const isSameCheck = (one: BenchCheck, other: BenchCheck): boolean =>
  canonicalJson(one) === canonicalJson(other)

/** More than this is cut off on the way by programs that carry addresses. */
const LONGEST_ADDRESS = 4000

/**
 * The address that brings a check to somebody else's bench: what is written on it, field by field.
 *
 * @returns nothing for a check that no address can hold whole, such as one with rows chosen or readings set aside
 */
export function addressOfBench(check: BenchCheck): string | undefined {
  const words = BENCH_PARTS.flatMap((part) => wordsOf(check[part], EMPTY_BENCH[part], PREFIXES[part]))
  const carried = broughtBy(Object.fromEntries(words))?.check ?? EMPTY_BENCH
  if (!isSameCheck(carried, check)) return undefined
  const address = addressWith('/bench', [...words, [END, 'here']])
  return address.length > LONGEST_ADDRESS ? undefined : address
}

const PREFIXES: Readonly<Record<BenchPart, string>> = { claim: '', sample: 'sample.', second: 'second.' }

/** The last word of an address of the bench: without it a part may have been cut off on the way. */
const END = 'ends'

/** What an address brings to the bench. */
export type Brought = Readonly<{
  check: BenchCheck
  /** The words of the address that mean nothing here, or nothing that can be. */
  unread: readonly string[]
  isWhole: boolean
}>

/** The check that the words of an address bring; nothing where there are none. */
export function broughtBy(words: AddressWords): Brought | undefined {
  const stated = Object.keys(words).filter((word) => word !== END)
  if (stated.length === 0) return undefined
  const of = <Part extends BenchPart>(part: Part) =>
    draftFromWords(SHAPES[part], EMPTY_BENCH[part], words, PREFIXES[part])
  const [claim, sample, second] = [of('claim'), of('sample'), of('second')]
  const read = new Set([...claim.read, ...sample.read, ...second.read])
  return {
    check: { claim: claim.draft, sample: sample.draft, second: second.draft },
    unread: stated.filter((word) => !read.has(word)),
    isWhole: words[END] === 'here',
  }
}
