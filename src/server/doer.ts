import 'server-only'
import { storedText } from '@/desk/typed'

/** Who does something, for the trail, and when. */
export type Doer = Readonly<{ by: string; now: Date }>

/** Who does it, as a request says it. */
export const bySchema = storedText(500).default('')
