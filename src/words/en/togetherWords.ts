import type { FindingOutcome } from '@/claims/finding'

/** What taking several claims together changes, and why it may. */
export function togetherWords(
  tested: readonly Readonly<{ outcome: FindingOutcome; adjusted: Readonly<{ outcome: FindingOutcome }> }>[],
): string {
  const changed = tested.filter(({ outcome, adjusted }) => outcome !== adjusted.outcome).length
  const why = `${tested.length} claims were tested, and each test may go wrong by chance. Holm’s adjustment keeps the chance of even one wrong rejection among them at the level.`
  if (changed === 0) return `${why} It changes no finding.`
  return `${why} It changes ${changed === 1 ? 'one finding' : `${changed} findings`}.`
}
