import * as z from 'zod/mini'

/** A file as it was handed in. */
export const sampleFileSchema = z.strictObject({
  fileName: z.string().check(z.minLength(1)),
  fileBytes: z.int().check(z.nonnegative()),
  /** In hexadecimal digits. */
  fileSha256: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
  rowCount: z.int().check(z.positive()),
})
export type SampleFile = Readonly<z.infer<typeof sampleFileSchema>>
