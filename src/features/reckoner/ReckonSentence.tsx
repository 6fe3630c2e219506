'use client'

import {
  DISTRIBUTION_NAMES,
  type DistributionName,
  type ReckonDraft,
  withDistribution,
} from '@/desk/reckonDraft'
import {
  afterFigures,
  DISTRIBUTION_WORDS,
  FIELD_NAMES,
  reckonWords,
  shownFigure,
  shownShare,
  TAIL_WORDS,
} from '@/words/en/reckonWords'
import { problemsId } from '@/ui/ProblemLines'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { Sentence, Together } from '@/ui/inline/Sentence'
import { handleOf } from './handleOf'
import type { Reckoning } from './reckoning'

const NAMES = Object.fromEntries(
  DISTRIBUTION_NAMES.map((name) => [name, DISTRIBUTION_WORDS[name].name]),
) as Record<DistributionName, string>

/** A reckoning as a sentence, whose underlined words are the controls. */
export function ReckonSentence({
  draft,
  found: { read, known, found },
  onChange,
}: Readonly<{
  draft: ReckonDraft
  found: Reckoning
  onChange: (part: Partial<ReckonDraft>) => void
}>) {
  const { name, tail, given, text } = draft
  const isWhole = known?.isWhole ?? false
  const words = reckonWords(draft, isWhole)
  const own = handleOf(draft, found?.ends ?? {})
  const [lower, upper] = [found?.ends.lower, found?.ends.upper]
  const other = lower !== undefined && upper !== undefined ? (own === upper ? lower : upper) : undefined
  const invalid = invalidIn(read.problems)
  const point = (
    <InlineText
      label="Point"
      placeholder="point"
      inputMode="decimal"
      value={given === 'point' ? text : own === undefined ? '' : shownFigure(own)}
      onChange={(typed) => onChange({ given: 'point', text: typed })}
      {...(given === 'point' ? invalid('text') : {})}
    />
  )
  const probability = (
    <InlineText
      label="Probability"
      placeholder="probability"
      inputMode="decimal"
      value={given === 'probability' ? text : found ? shownShare(found.share) : ''}
      onChange={(typed) => onChange({ given: 'probability', text: typed })}
      {...(given === 'probability' ? invalid('text') : {})}
    />
  )
  return (
    <Sentence>
      Of{' '}
      <InlineChoice
        label="Distribution"
        value={name}
        words={NAMES}
        onChange={(chosen) => onChange(withDistribution(draft, chosen))}
      />{' '}
      distribution
      <Spots {...{ draft, problems: read.problems, onChange }} />
      {afterFigures(draft)}, {words.before}
      {probability} {words.verb}{' '}
      <InlineChoice
        label="Tail"
        value={tail}
        words={TAIL_WORDS[isWhole ? 'whole' : 'curve']}
        onChange={(chosen) => onChange({ tail: chosen })}
      />{' '}
      {other !== undefined && other < (own ?? 0) && `${shownFigure(other)} and `}
      <Together>
        {point}
        {other === undefined || other < (own ?? 0) ? words.after : ''}
      </Together>
      {other !== undefined && other > (own ?? 0) && ` and ${shownFigure(other)}${words.after}`}
    </Sentence>
  )
}

type Problems = Reckoning['read']['problems']

/** How a control shows that its text can't be used. */
const invalidIn = (problems: Problems) => (field: string) =>
  problems.some((problem) => problem.field === field)
    ? { isInvalid: true, describedBy: problemsId(field) }
    : {}

/** The figures of a distribution, each with the words before it. */
function Spots({
  draft: { name, fields },
  problems,
  onChange,
}: Readonly<{ draft: ReckonDraft; problems: Problems; onChange: (part: Partial<ReckonDraft>) => void }>) {
  const invalid = invalidIn(problems)
  return DISTRIBUTION_WORDS[name].spots.map(({ before, field }) => (
    <span key={field}>
      {before}{' '}
      <InlineText
        label={FIELD_NAMES[field]}
        placeholder="?"
        inputMode="decimal"
        value={fields[field] ?? ''}
        onChange={(typed) => onChange({ fields: { ...fields, [field]: typed } })}
        {...invalid(field)}
      />
    </span>
  ))
}
