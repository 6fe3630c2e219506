import type { ScaleLine } from './line'

type Reading = Extract<ScaleLine, { is: 'reading' }>

/** How what an instrument shows stands: a unit that is new can be taken, once. */
export type Standing = 'moving' | 'empty' | 'new' | 'taken'

/** An instrument that does not say whether it is still is, after so many same readings in a row. */
const SAME_IN_A_ROW = 3
/** Less than this part of the last load counts as an empty pan, whose zero may have drifted. */
const EMPTY_PART = 0.1

/** Tells a reading that stands still from one that moves, and a unit that was put on from the one that lies there still. */
export class Gate {
  private same = 0
  private before: string | undefined
  private last = 0
  private isTaken = false

  /** Every line has to go through it, in its order. */
  next({ text, value, isStable }: Reading): Standing {
    this.same = text === this.before ? this.same + 1 : 1
    this.before = text
    const isStill = isStable ?? this.same >= SAME_IN_A_ROW
    const isEmpty = value <= 0 || value < this.last * EMPTY_PART
    if (isEmpty) this.isTaken = false
    if (!isStill) return 'moving'
    if (isEmpty) return 'empty'
    return this.isTaken ? 'taken' : 'new'
  }

  /** Whether it is known what a unit weighs: before, an empty pan that shows a little is not told from one. */
  get isSure(): boolean {
    return this.last > 0
  }

  /** The reading that lies on it was taken. */
  take({ value }: Pick<Reading, 'value'>): void {
    this.last = value
    this.isTaken = true
  }
}
