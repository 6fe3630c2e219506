import 'server-only'
import { wellFormed } from '@/desk/typed'
import type { Problem } from '@/claims/terms/outcome'

export function notFound(kind: 'case' | 'claim' | 'sample' | 'finding' | 'key', id: unknown): Problem {
  return {
    code: 'not-found',
    path: `${kind}Id`,
    message: `There is no ${kind} ${wellFormed(String(id)).slice(0, 60)}. Look for it on ${kind === 'key' ? 'the register' : 'the docket'}.`,
  }
}

export function changedElsewhere(kind: 'claim' | 'sample'): Problem {
  return {
    code: 'changed-elsewhere',
    path: 'revision',
    message: `This ${kind} was changed in another window since it was read here, so nothing was overwritten.`,
  }
}
