import 'server-only'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { findCase } from '@/data/caseRepository'
import { listClaims } from '@/data/claimRepository'
import { writeSpecification } from '@/intake/specification/writeSpecification'
import { isIdentifier } from '../identifier'
import { database } from '../keeping/database'
import { notFound } from '../problems'

/** The claims of a case that are part of it, as a specification. */
export async function exportSpecification(
  caseId: string,
): Promise<Outcome<Readonly<{ name: string; type: string; body: Iterable<Uint8Array> }>>> {
  const db = await database()
  const own = isIdentifier(caseId) ? await findCase(db, caseId) : undefined
  if (!own) return failure(notFound('case', caseId))
  const claims = (await listClaims(db, caseId)).filter(({ draft }) => !draft.isDiscarded)
  const text = writeSpecification(claims.map(({ draft }) => draft))
  const name = `${`${own.reference} ${own.subject}`.trim() || 'case'}, specification.csv`
  return success({ name, type: 'text/csv; charset=utf-8', body: [new TextEncoder().encode(text)] })
}
