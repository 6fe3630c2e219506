import { Box } from '@chakra-ui/react/box'
import type { CriticalFigures } from '@/answers/critical'
import type { FieldProblem } from '@/intake/reading/fieldReader'
import type { CriticalValue } from '@/statistics/inference/criticalValues'
import { shownFigure } from '@/words/en/reckonWords'
import { formatFull, formatPercent } from '@/words/figures'
import { DataTable } from '@/ui/figures/DataTable'
import { Figure } from '@/ui/figures/Figure'
import { InlineText } from '@/ui/inline/InlineText'
import { ProblemLines } from '@/ui/ProblemLines'

const HEADS = ['Level', 'Lower tail', 'Upper tail', 'Both tails'] as const

/** Critical values at several levels side by side. */
export function Levels({
  levels,
  isWhole,
  level,
  problems,
  onLevel,
}: Readonly<{
  levels: readonly CriticalFigures[]
  isWhole: boolean
  level: string
  problems: readonly FieldProblem<string>[]
  onLevel: (level: string) => void
}>) {
  const rows = levels.map(({ level: own, lower, upper, both }) => {
    const at = (name: string, end: CriticalValue | undefined) => (
      <Value name={`${name} at ${formatPercent(own)}`} end={end} />
    )
    return [
      formatPercent(own),
      at('Lower tail', lower),
      at('Upper tail', upper),
      <>
        {at('Both tails, lower', both.lower)}
        <br />
        {at('Both tails, upper', both.upper)}
      </>,
    ]
  })
  return (
    <Box as="section" aria-label="Critical values" marginBottom="32px">
      <Box as="h2" fontWeight="600">
        Critical values
      </Box>
      <DataTable label="Critical values at several levels" heads={HEADS} rows={rows} />
      <Box as="p" marginTop="8px">
        Another level:{' '}
        <InlineText
          label="Another level"
          placeholder="such as 2.5 %"
          inputMode="decimal"
          value={level}
          onChange={onLevel}
          isInvalid={problems.length > 0}
        />
      </Box>
      <ProblemLines problems={problems} onWrite={({ level: text }) => onLevel(text ?? '')} />
      <Box as="p" color="quiet" marginTop="8px" fontSize="13px">
        {isWhole
          ? 'The last number at or beyond which no more than the level lies; mostly less does. With both tails, half the level at either end.'
          : 'With both tails, half the level lies beyond either value.'}
      </Box>
    </Box>
  )
}

function Value({ name, end }: Readonly<{ name: string; end: CriticalValue | undefined }>) {
  if (!end)
    return (
      <Box as="span" color="quiet">
        none
      </Box>
    )
  return <Figure name={name} shown={shownFigure(end.x)} full={formatFull(end.x)} />
}
