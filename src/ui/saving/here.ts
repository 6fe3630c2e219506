import { keepLast } from '@/desk/keepLast'

/** A draft as the server gave it. */
export type Stored<T> = Readonly<{ draft: T; revision: number }>

/**
 * What this window knows of one address: the draft as it was typed last, on whichever page, the revision that is stored, and
 * whether that is the same.
 */
export class Here<T> {
  constructor(
    private known: Stored<T>,
    private sameAsStored = true,
  ) {}

  /**
   * What a page begins with: what the server gave it, unless that was read before this window's own last change was stored, or
   * what was typed here was not.
   */
  static at<T>(address: string, given: Stored<T>): Here<T> {
    const known = all.get(address) as Here<T> | undefined
    if (known && (!known.isStored || known.revision > given.revision)) return known
    const here = new Here(given)
    // A server serves many windows.
    if (typeof window !== 'undefined') keepLast(all, address, here as Here<unknown>, MAX_KEPT)
    return here
  }

  get draft(): T {
    return this.known.draft
  }
  get revision(): number {
    return this.known.revision
  }
  get isStored(): boolean {
    return this.sameAsStored
  }

  type(draft: T, isStored: boolean): void {
    this.known = { ...this.known, draft }
    this.sameAsStored = isStored
  }

  /** A draft was stored; something else may have been typed meanwhile. */
  store(draft: T, revision: number): void {
    this.known = { ...this.known, revision }
    this.sameAsStored = this.known.draft === draft
  }

  take(stored: Stored<T>): void {
    this.known = stored
    this.sameAsStored = true
  }
}

const MAX_KEPT = 20
const all = new Map<string, Here<unknown>>()
