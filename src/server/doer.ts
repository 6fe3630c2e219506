import 'server-only'
import * as z from 'zod/mini'
import { storedText } from '@/desk/typed'

/** Who does something, for the trail, and when. */
export type Doer = Readonly<{ by: string; now: Date }>

/** Who does it, as a request says it. */
export const bySchema = z._default(storedText(500), '')

/** Who does it and when, from whatever a server action was given: a name that is none is nobody's. */
export function doerOf(by: unknown): Doer {
  const read = bySchema.safeParse(by)
  return { by: read.success ? read.data : '', now: new Date() }
}
