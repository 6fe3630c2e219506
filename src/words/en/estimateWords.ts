import type { Estimated } from '@/claims/estimate'
import type { Display } from '../display'
import { shownValue } from '../display'
import { formatPercent } from '../figures'
import { intervalWords } from './claimLineWords'
import { sizeWords, type Subject, subjectOf } from './claimWords'

/**
 * What is estimated while nothing is claimed: "The mean net mass is estimated at 14.929 kg (n = 24), 95 % interval 14.884 to
 * 14.974. Nothing is tested: the claim has no value yet."
 */
export function estimateSentence(
  subject: Subject,
  { sample, value, interval }: Pick<Estimated, 'sample' | 'value' | 'interval'>,
  display: Display,
): string {
  const between = interval ? `, ${intervalWords(interval, display)}` : ''
  const level =
    interval?.trueLevel === undefined
      ? ''
      : ` Its true level is ${formatPercent(Number((100 * interval.trueLevel).toFixed(2)) / 100)}.`
  return `The ${subjectOf(subject)} is estimated at ${shownValue(value, display)} (${sizeWords(sample)})${between}.${level} Nothing is tested: the claim has no value yet.`
}
