import * as z from 'zod'

/** A file as it was handed in. */
export const sampleFileSchema = z.strictObject({
  fileName: z.string().min(1),
  fileBytes: z.int().nonnegative(),
  /** In hexadecimal digits. */
  fileSha256: z.string().regex(/^[0-9a-f]{64}$/),
  rowCount: z.int().positive(),
})
export type SampleFile = Readonly<z.infer<typeof sampleFileSchema>>
