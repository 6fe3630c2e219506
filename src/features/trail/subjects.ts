import { claimTitle } from '@/words/en/claimTitle'
import type { ClaimWords } from '@/desk/claimDraft'

type Sample = Readonly<{ id: string; name: string; fileName: string | null }>

/** What a case's claims and samples are called, by their identifiers. */
export function subjectsOf(
  claims: readonly (ClaimWords & Readonly<{ id: string }>)[],
  samples: readonly Sample[],
): Readonly<Record<string, string>> {
  return Object.fromEntries([
    ...claims.map((claim) => [claim.id, `claim: ${claimTitle(claim)}`] as const),
    ...samples.map(
      ({ id, name, fileName }, at) => [id, `sample: ${name || fileName || `Sample ${at + 1}`}`] as const,
    ),
  ])
}
