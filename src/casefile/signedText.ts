import * as z from 'zod/mini'
import { PARAMETERS } from '@/claims/terms/names'
import { parseJson } from '@/desk/parseJson'

const text = z.optional(z.string())

/** What has to stand in a text that was signed, by whatever core, and what may. */
const signedSchema = z.looseObject({
  kind: z.string(),
  claim: z.looseObject({
    id: z.string(),
    caseId: z.string(),
    draft: z.looseObject({
      remarks: z.string(),
      ...{ wording: text, source: text, unit: text, exposureUnit: text, decimals: text },
    }),
  }),
  document: z.union([
    z.looseObject({ claim: z.looseObject({ parameter: z.enum(PARAMETERS) }) }),
    z.looseObject({ content: z.looseObject({ nominal: z.number(), unit: z.string() }) }),
  ]),
  result: z
    .looseObject({
      ok: z.literal(true),
      coreVersion: z.string(),
      kind: z.optional(z.string()),
      test: z.optional(z.looseObject({ method: z.string() })),
      finding: z.looseObject({
        outcome: z.string(),
        sentence: z.string(),
        limits: text,
        items: z.optional(z.array(z.string())),
        beside: text,
        basis: text,
      }),
    })
    .check(z.refine(({ kind, test }) => test !== undefined || kind === 'census' || kind === 'content')),
  signedBy: z.string(),
  /** Who worked where it was signed by another name. */
  enteredBy: text,
  signedOn: z.string(),
  /** The signed finding of the claim that it comes after, and why. */
  replaces: z.optional(z.looseObject({ number: z.number(), fingerprint: z.string(), reason: z.string() })),
})

/** @returns nothing where the text is not one that was signed */
export function signedIn(text: string): z.output<typeof signedSchema> | undefined {
  try {
    const read = signedSchema.safeParse(parseJson(text))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}
