import type { Problem } from '@/claims/terms/outcome'

/** What is wrong with a row of a specification, or with the whole of it, by the column that it is in. */
export const problem = (path: string, message: string): Problem => ({ code: 'specification', path, message })
