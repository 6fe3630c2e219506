import { z } from 'zod'
import { canonicalJson } from './canonicalJson'
import { type ClaimDraft, claimDraftSchema, EMPTY_CLAIM } from './claimDraft'
import type { AddressWords } from './reckonDraft'
import { EMPTY_SAMPLE, type SampleDraft, sampleDraftSchema } from './sampleDraft'
import { wellFormed } from './typed'

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

type Fields = Readonly<Record<string, z.ZodType>>
const SHAPES: Readonly<Record<BenchPart, Fields>> = {
  claim: {
    ...claimDraftSchema.shape,
    // Of the bench's own samples, and of no others.
    sampleId: z.literal(BENCH_IDS.sample),
    secondSampleId: z.enum([BENCH_IDS.sample, BENCH_IDS.second]).nullable(),
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
    kind: sampleDraftSchema.shape.kind.exclude(['file']),
    isDiscarded: z.literal(false),
  }
}

/** A check of the bench, as it is put into a case. */
export const benchCheckSchema = z.strictObject({
  claim: z.strictObject(SHAPES.claim),
  sample: z.strictObject(SHAPES.sample),
  second: z.strictObject(SHAPES.second),
}) as unknown as z.ZodType<BenchCheck>

/** A part of a check as some version kept it: what is not there, or is not as it has to be, is as on an empty bench. */
export function benchPartFrom<Part extends BenchPart>(part: Part, kept: unknown): BenchCheck[Part] {
  if (typeof kept !== 'object' || kept === null) return EMPTY_BENCH[part]
  const known = kept as Readonly<Record<string, unknown>>
  const fields = Object.entries(EMPTY_BENCH[part]).map(([field, empty]) => {
    const read = SHAPES[part][field]!.safeParse(known[field])
    return [field, read.success ? read.data : empty]
  })
  return Object.fromEntries(fields) as BenchCheck[Part]
}

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
  const words = BENCH_PARTS.flatMap((part) =>
    Object.entries(check[part]).flatMap(([field, value]) =>
      value === (EMPTY_BENCH[part] as Readonly<Record<string, unknown>>)[field] || typeof value === 'object'
        ? []
        : [[wordFor(part, field), String(value)] as const],
    ),
  )
  const carried = broughtBy(Object.fromEntries(words))?.check ?? EMPTY_BENCH
  if (!isSameCheck(carried, check)) return undefined
  const said = [...words, [END, 'here']].map(
    ([word, value]) => `${word}=${encodeURIComponent(wellFormed(value!))}`,
  )
  const address = `/bench?${said.join('&')}`
  return address.length > LONGEST_ADDRESS ? undefined : address
}

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
  const check = {
    claim: partOf('claim', words),
    sample: partOf('sample', words),
    second: partOf('second', words),
  }
  const unread = stated.filter((word) => !BENCH_PARTS.some((part) => isRead(part, word, words[word])))
  return { check, unread, isWhole: words[END] === 'here' }
}

function partOf<Part extends BenchPart>(part: Part, words: AddressWords): BenchCheck[Part] {
  const said = Object.entries(SHAPES[part]).flatMap(([field, shape]) => {
    const text = words[wordFor(part, field)]
    return typeof text === 'string' ? [[field, valueOf(shape, text)]] : []
  })
  return benchPartFrom(part, { ...EMPTY_BENCH[part], ...(Object.fromEntries(said) as object) })
}

/** Whether a word of an address is one of a part of the check, and says something that it can be. */
function isRead(part: BenchPart, word: string, text: AddressWords[string]): boolean {
  const shape = Object.entries(SHAPES[part]).find(([field]) => wordFor(part, field) === word)?.[1]
  return shape !== undefined && typeof text === 'string' && valueOf(shape, text) !== undefined
}

const wordFor = (part: BenchPart, field: string) => (part === 'claim' ? field : `${part}.${field}`)

/** A text as the field has it: itself, a number, or yes or no; nothing where it can be none of them. */
function valueOf(shape: z.ZodType, text: string): unknown {
  const yesOrNo = { true: true, false: false }[text]
  return [text, text.trim() === '' ? undefined : Number(text), yesOrNo].find(
    (value) => value !== undefined && shape.safeParse(value).success,
  )
}
