import 'server-only'
import type { Problem } from '@/claims/terms/outcome'

export function notFound(kind: 'case' | 'claim' | 'sample' | 'key', id: string): Problem {
  return {
    code: 'not-found',
    path: `${kind}Id`,
    message: `There is no ${kind} ${id.slice(0, 60)}. Look for it on ${kind === 'key' ? 'the register' : 'the docket'}.`,
  }
}

export function changedElsewhere(kind: 'claim' | 'sample'): Problem {
  return {
    code: 'changed-elsewhere',
    path: 'revision',
    message: `This ${kind} was changed in another window since it was read here, so nothing was overwritten.`,
  }
}
