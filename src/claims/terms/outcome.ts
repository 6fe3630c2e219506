/** What kept a figure from being computed, in words: a code for programs, a path to the field, a message for people. */
export type Problem = Readonly<{ code: string; path: string; message: string }>

/** A value, or the reason why there is none. Nothing is thrown but on a programmer's mistake. */
export type Outcome<T, P = Problem> = Readonly<{ ok: true; value: T }> | Readonly<{ ok: false; problem: P }>

export function success<T>(value: T): Outcome<T, never> {
  return { ok: true, value }
}

export function failure<P>(problem: P): Outcome<never, P> {
  return { ok: false, problem }
}
