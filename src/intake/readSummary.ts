import { parameterOf } from '@/claims/all'
import type { CheckDocument } from '@/claims/terms/request'
import { type ClaimDraft, isByReadings } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { convertedBy } from './entriesOf'
import { type FieldProblem, type FieldReader, NOT_NEGATIVE, wholeFrom } from './reading/fieldReader'
import type { Conversion } from './reading/units'

type Read = Readonly<{
  evidence?: Extract<CheckDocument['evidence'], { kind: 'summary' }>
  missing?: readonly FieldProblem[]
  problems?: readonly FieldProblem[]
}>

/** A share of items by their readings is told from both. */
const BOTH = ['mean', 'spread'] as const

/** Evidence of the figures of a sample whose readings are not at hand, in the claim's unit. */
export function fromSummary(
  fields: FieldReader<keyof SampleDraft>,
  draft: Pick<ClaimDraft, 'parameter' | 'column' | 'counted' | 'limitSide' | 'knownStandardDeviation'>,
  conversion: Conversion | undefined,
): Read {
  const { parameter, knownStandardDeviation } = draft
  const { takesKnownSpread } = parameterOf(parameter)
  const summary = isByReadings(draft) ? BOTH : parameterOf(parameter).summary
  if (!summary) return { problems: [{ field: 'kind', message: PARAMETER_WORDS[parameter].notFromSummary! }] }
  const needsMean = summary.includes('mean')
  const missing: FieldProblem[] = []
  const n = fields.number('sampleSize', 'number of readings', wholeFrom(1))
  const mean = fields.number('mean', 'mean', { holds: () => true, needed: '' })
  const spread = fields.number('spread', 'spread', NOT_NEGATIVE)
  const need = (field: keyof SampleDraft, message: string) => {
    if (fields.text(field) === '') missing.push({ field, message })
  }
  need('sampleSize', 'State how many readings there were.')
  if (needsMean) need('mean', 'State their mean.')
  // A test with a known standard deviation asks for none of the sample's.
  const needsSpread = !(takesKnownSpread && knownStandardDeviation.trim() !== '')
  if (needsSpread && fields.text('spread') === '')
    missing.push({ field: 'spread', message: 'State their standard deviation or variance.' })
  const isStated = spread !== undefined || (!needsSpread && fields.text('spread') === '')
  if (n === undefined || (needsMean && mean === undefined) || !isStated) return { missing }
  const distance = (value: number) => conversion?.distance(value) ?? value
  const isVariance = fields.text('spreadIs') === 'variance'
  const spreadFigure =
    spread === undefined
      ? {}
      : isVariance
        ? { variance: distance(distance(spread)) }
        : { standardDeviation: distance(spread) }
  return {
    missing,
    evidence: {
      kind: 'summary',
      n,
      ...(mean === undefined ? {} : { mean: conversion?.reading(mean) ?? mean }),
      ...spreadFigure,
      ...(conversion ? { entries: [convertedBy(conversion)] } : {}),
    },
  }
}
