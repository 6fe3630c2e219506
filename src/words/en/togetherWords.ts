import { formatPercent } from '../figures'
import type { FindingOutcome } from '@/claims/finding'

/** What taking several claims together changes, and why it may. */
export function togetherWords(
  tested: readonly Readonly<{
    outcome: FindingOutcome
    significanceLevel: number
    adjusted: Readonly<{ outcome: FindingOutcome }>
  }>[],
): string {
  const changed = tested.filter(({ outcome, adjusted }) => outcome !== adjusted.outcome).length
  const levels = [...new Set(tested.map(({ significanceLevel }) => significanceLevel))]
  const level =
    levels.length === 1
      ? `the level, ${formatPercent(levels[0]!)}`
      : `the largest of their levels, ${formatPercent(Math.max(...levels))}`
  const own = levels.length === 1 ? '' : '; each claim is still decided at its own'
  const why = `${tested.length} claims were tested, and each test may go wrong by chance. Holm’s adjustment keeps the chance of even one wrong rejection among them within ${level}, as far as each test keeps its own level${own}. The intervals are not adjusted: each is of its own claim alone.`
  if (changed === 0) return `${why} It changes no finding.`
  return `${why} It changes ${changed === 1 ? 'one finding' : `${changed} findings`}.`
}

/** What intervals of several claims that hold at once are. */
export function simultaneousWords(levels: readonly number[]): string {
  return `These ${levels.length} intervals are wider than each claim’s own: in at least ${formatPercent(Math.min(...levels))} of samples all of them hold their true values at once, as far as each keeps its own level (Bonferroni).`
}
export const SIMULTANEOUS_HEADS = ['Claim', 'Interval of its own', 'Simultaneous interval'] as const
