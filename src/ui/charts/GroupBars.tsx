import type { DrawnBar } from '@/pictures/groupsLine'
import type { Range } from '@/pictures/claimLine'

/** In pixels: of a row of the picture. */
const HEIGHT = 36
const WIDTH = 300
const ARROW = 6

/**
 * One line of groups: the interval and the estimate on the scale of all, with the claimed values.
 *
 * @param isAgainst - whether its finding is against the claim
 */
export function GroupBar({
  bar,
  x,
  claimed,
  isAgainst,
}: Readonly<{
  bar: DrawnBar | undefined
  x: Range
  claimed: readonly number[]
  isAgainst: boolean
}>) {
  const at = (value: number) => ((value - x.min) / (x.max - x.min)) * WIDTH
  const colour = `var(--chakra-colors-${isAgainst ? 'finding-contradicted' : 'accent'})`
  const middle = HEIGHT / 2
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={WIDTH}
      height={HEIGHT}
      preserveAspectRatio="none"
      aria-hidden="true"
      style={{ display: 'block', width: '100%', minWidth: '180px' }}
    >
      {claimed.map((value) => (
        <line
          key={value}
          x1={at(value)}
          x2={at(value)}
          y1={0}
          y2={HEIGHT}
          stroke="var(--chakra-colors-brass)"
          strokeWidth={2}
        />
      ))}
      {bar && (
        <>
          <line x1={at(bar.from)} x2={at(bar.to)} y1={middle} y2={middle} stroke={colour} strokeWidth={3} />
          {bar.from < bar.to && <End x={at(bar.from)} isCut={bar.isCutBelow} towards={-1} colour={colour} />}
          {bar.from < bar.to && <End x={at(bar.to)} isCut={bar.isCutAbove} towards={1} colour={colour} />}
          <line
            x1={at(bar.estimate!)}
            x2={at(bar.estimate!)}
            y1={middle - 10}
            y2={middle + 10}
            stroke="var(--chakra-colors-ink)"
            strokeWidth={2}
          />
        </>
      )}
    </svg>
  )
}

/** A stroke where the interval ends, an arrow where it goes on beyond the picture. */
function End({
  x,
  isCut,
  towards,
  colour,
}: Readonly<{ x: number; isCut: boolean; towards: 1 | -1; colour: string }>) {
  const middle = HEIGHT / 2
  const points = isCut
    ? `${x - towards * ARROW},${middle - ARROW} ${x},${middle} ${x - towards * ARROW},${middle + ARROW}`
    : `${x},${middle - ARROW} ${x},${middle + ARROW}`
  return <polyline points={points} fill="none" stroke={colour} strokeWidth={2.5} />
}
