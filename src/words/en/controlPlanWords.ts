import type { PlanFault } from '@/claims/terms/controlPlan'
import { formatCount, formatFull } from '../figures'

const shown = (value: number | undefined) =>
  value === undefined || !Number.isFinite(value)
    ? 'no end'
    : Number.isInteger(value)
      ? formatCount(value)
      : formatFull(value)

/** What keeps a control plan from being followed, and what would do. */
export function planFaultWords({ name, figures: [a, b] }: PlanFault): string {
  switch (name) {
    case 'n-beyond-lot':
      return `The plan takes ${shown(a)} packs of a lot that may have only ${shown(b)}. Take fewer, or let the row begin with a larger lot.`
    case 'allowed-beyond-n':
      return `The plan allows ${shown(a)} short packs of the ${shown(b)} that it takes, so that no lot would fail. Allow fewer.`
    case 'lots-overlap':
      return `A lot of ${shown(a)} falls into two rows of the plan: the row before goes up to ${shown(b)}. Let each row begin above the one before.`
    case 'after-last':
      return `The row before has no end, so that none of a lot of ${shown(a)} and more is reached. State its end, or leave this row out.`
    case 'not-rising':
      return `The rows of the plan have to rise: ${shown(b)} stands behind ${shown(a)}. Put them in order, each once.`
    case 'one-of-two':
      return 'A tolerable deficiency is a quantity in g or mL, or a percentage of the label: state one of the two.'
    default:
      return name satisfies never
  }
}
