import type { CheckDocument } from '@/claims/terms/request'
import type { ClaimDraft } from '@/desk/claimDraft'
import { moments } from '@/statistics/describe/moments'
import { type FieldProblem, stated } from './reading/fieldReader'
import type { EvidenceReading } from './readEvidence'
import { isSecondOpen } from './takenFrom'

type Evidence = CheckDocument['evidence']
type OneSource = Extract<Evidence, { kind: 'readings' | 'summary' }>

/** The evidence on two sources as one: readings where both have them, else the figures of both. */
export function joinSources(
  draft: ClaimDraft,
  { first, second }: Readonly<{ first: EvidenceReading; second: EvidenceReading }>,
): EvidenceReading {
  const named = (problem: FieldProblem): FieldProblem => ({
    ...problem,
    message: `Second source: ${problem.message}`,
  })
  const { evidence: one, ...shown } = first
  const { evidence: other } = second
  // While nobody has said what the second source is, nothing is to be said of it.
  const [problems, missing] = isSecondOpen(draft) ? [[], []] : [second.problems, second.missing]
  const joined: EvidenceReading = {
    ...shown,
    problems: [...first.problems, ...problems.map(named)],
    missing: [...sameSource(draft, { first, second }), ...first.missing, ...missing.map(named)],
  }
  if (!one || !other || !isOneSource(one) || !isOneSource(other)) return joined
  return { ...joined, evidence: { ...bothOf(one, other), ...originOf(one, other) } }
}

/** Readings beside themselves would always be as even. */
function sameSource(
  draft: ClaimDraft,
  { first, second }: Readonly<{ first: EvidenceReading; second: EvidenceReading }>,
): readonly FieldProblem[] {
  const { sampleId, secondSampleId } = draft
  const isAlike = (one: readonly number[], other: readonly number[]) =>
    one.length === other.length && one.every((value, at) => value === other[at])
  const isSame =
    isSecondOpen(draft) ||
    ((secondSampleId ?? sampleId) === sampleId &&
      isAlike(first.values, second.values) &&
      isAlike(first.rows, second.rows))
  const message = 'Say what the second source is: another sample, another column or other rows.'
  return isSame ? [{ field: 'secondSampleId', message }] : []
}

function isOneSource(evidence: Evidence): evidence is OneSource {
  return evidence.kind === 'readings' || evidence.kind === 'summary'
}

function bothOf(first: OneSource, second: OneSource): Evidence {
  if (first.kind === 'readings' && second.kind === 'readings') {
    return {
      kind: 'two-readings',
      first: first.values,
      second: second.values,
      ...stated({ firstSetAside: first.setAside, secondSetAside: second.setAside }),
    }
  }
  return { kind: 'two-summaries', first: figuresOf(first), second: figuresOf(second) }
}

function figuresOf(source: OneSource) {
  if (source.kind === 'summary') {
    const { n, standardDeviation, variance } = source
    return { n, ...stated({ standardDeviation, variance }) }
  }
  const left = new Set(source.setAside)
  const { sampleSize: n, variance } = moments(source.values.filter((_, index) => !left.has(index)))
  return { n, ...stated({ variance }) }
}

/** What is stated of both: the sample is random only if both are. */
function originOf(first: OneSource, second: OneSource) {
  const lotSize =
    first.lotSize === undefined || second.lotSize === undefined ? undefined : first.lotSize + second.lotSize
  const of = <T extends string>(one: T | undefined, other: T | undefined, worse: T) =>
    one === worse || other === worse ? worse : one === other ? one : undefined
  const [[one = {}] = [], [other = {}] = []] = [first.entries, second.entries]
  const isNothing = Object.keys({ ...one, ...other }).length === 0
  return stated({
    entries: isNothing ? undefined : [one, other],
    lotSize,
    drawn: of(first.drawn, second.drawn, 'not-random'),
    independence: of(first.independence, second.independence, 'not-independent'),
  })
}
