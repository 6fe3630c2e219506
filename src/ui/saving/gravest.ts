import type { SaveState } from './Keeper'

type Stated = Readonly<{ state: SaveState }>

const GRAVITY = ['saved', 'saving', 'changed-elsewhere', 'failed'] as const

/** Of several savings the one to be told of; of what is saved the one that was saved last. */
export const gravestOf = <One extends Stated>(savings: readonly One[]): One =>
  savings.reduce((worst, one) => (isGraver(one.state, worst.state) ? one : worst))

function isGraver(one: SaveState, other: SaveState): boolean {
  if (one.kind === 'saved' && other.kind === 'saved') return (one.at ?? '') > (other.at ?? '')
  return GRAVITY.indexOf(one.kind) > GRAVITY.indexOf(other.kind)
}
