/** One edit: what a draft was before and after it. */
export type Edit = Readonly<{
  /** Which draft it was made to. */
  owner: string
  /** Edits of one key that follow each other quickly are one, as typing a word is; those of an empty key never. */
  key: string
  before: unknown
  after: unknown
}>

type Entry = Edit & { at: number }

/** Edits of one key within this time are one. */
const PAUSE_MS = 1000

/** The edits of a page, of every draft on it, in the order in which they were made. */
export class EditHistory {
  private past: Entry[] = []
  private future: Entry[] = []
  private readonly setters = new Map<string, (value: never) => void>()
  private readonly listeners = new Set<() => void>()

  /** A draft as it is shown: undoing an edit sets it. */
  register<T>(owner: string, set: (value: T) => void): () => void {
    this.setters.set(owner, set)
    return () => {
      if (this.setters.get(owner) === set) this.setters.delete(owner)
    }
  }

  record(edit: Edit, now: number): void {
    const last = this.past.at(-1)
    const isSame =
      edit.key !== '' && last?.owner === edit.owner && last.key === edit.key && this.future.length === 0
    if (isSame && now - last!.at < PAUSE_MS) {
      this.past[this.past.length - 1] = { ...last!, after: edit.after, at: now }
    } else {
      this.past.push({ ...edit, at: now })
    }
    this.future = []
    this.tell()
  }

  undo(): void {
    this.step(this.past, this.future, 'before')
  }

  redo(): void {
    this.step(this.future, this.past, 'after')
  }

  /** Which of the two can be done, as one text, so that it can be compared. */
  readonly state = (): '' | 'undo' | 'redo' | 'undo redo' => {
    const words = [...(this.past.length > 0 ? ['undo'] : []), ...(this.future.length > 0 ? ['redo'] : [])]
    return words.join(' ') as ReturnType<EditHistory['state']>
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private step(from: Entry[], to: Entry[], which: 'before' | 'after'): void {
    const entry = from.at(-1)
    const set = entry && this.setters.get(entry.owner)
    // A draft that is just being loaded can't be set yet: the edit stays where it is.
    if (!entry || !set) return
    from.pop()
    to.push({ ...entry, at: -Infinity })
    set(entry[which] as never)
    this.tell()
  }

  private tell(): void {
    for (const listener of this.listeners) listener()
  }
}
