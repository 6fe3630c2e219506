import type { Outcome } from '@/claims/terms/outcome'

export type SaveState =
  | Readonly<{ kind: 'saved'; at?: string }>
  | Readonly<{ kind: 'saving' }>
  | Readonly<{ kind: 'failed'; message: string }>
  | Readonly<{ kind: 'changed-elsewhere' }>

export type Saved = Readonly<{ savedAt: string }>
/** Stores a value; undefined where the server does not answer. */
export type Send<T> = (value: T) => Promise<Outcome<Saved> | undefined>

/** What is stored where it is not known, or is something else. */
const UNKNOWN = Symbol('unknown')

const PAUSE_MS = 300
const RETRY_MS = 2000
const NO_ANSWER = 'The server does not answer. What you typed is kept here and tried again.'

/** Keeps what is stored in step with what is on the page: one request at a time, the newest value last. */
export class Keeper<T> {
  private value: T
  private stored: T | typeof UNKNOWN
  private readonly send: Send<T>
  private readonly onState: (state: SaveState) => void
  private timer: ReturnType<typeof setTimeout> | undefined
  private request: Promise<void> | undefined
  private isHalted = false

  /** @param input.isStored - whether the value is stored already */
  constructor(
    input: Readonly<{ value: T; isStored: boolean; send: Send<T>; onState: (state: SaveState) => void }>,
  ) {
    this.value = input.value
    this.stored = input.isStored ? input.value : UNKNOWN
    this.send = input.send
    this.onState = input.onState
  }

  isUnsaved(): boolean {
    return this.value !== this.stored
  }

  change(value: T): void {
    this.value = value
    if (!this.isUnsaved() || this.isHalted) return
    this.onState({ kind: 'saving' })
    this.schedule(PAUSE_MS)
  }

  /** Stores what is not stored yet, now. */
  async flush(): Promise<void> {
    clearTimeout(this.timer)
    while (this.request) await this.request
    if (!this.isUnsaved() || this.isHalted) return
    this.request = this.store().finally(() => (this.request = undefined))
    await this.request
  }

  /** Takes over a value that is stored already. */
  adopt(value: T): void {
    this.value = value
    this.stored = value
    this.isHalted = false
    this.onState({ kind: 'saved' })
  }

  /** Goes on storing after a change made elsewhere. */
  async resume(): Promise<void> {
    this.isHalted = false
    await this.flush()
  }

  private schedule(pause: number): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => void this.flush(), pause)
  }

  private async store(): Promise<void> {
    const { value } = this
    const answer = await this.send(value)
    if (!answer) {
      this.onState({ kind: 'failed', message: NO_ANSWER })
      return this.schedule(RETRY_MS)
    }
    if (!answer.ok) {
      this.isHalted = answer.problem.code === 'changed-elsewhere'
      const { code, message } = answer.problem
      // Room can be made, and then it is stored without another word.
      if (code === 'disk-full') this.schedule(RETRY_MS)
      return this.onState(this.isHalted ? { kind: 'changed-elsewhere' } : { kind: 'failed', message })
    }
    this.stored = value
    if (this.isUnsaved()) this.schedule(0)
    else this.onState({ kind: 'saved', at: answer.value.savedAt })
  }
}
