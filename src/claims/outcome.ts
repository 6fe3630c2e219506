/** What kept a figure from being computed: a code for programs, a path to the field, a message for people. */
export type Problem = Readonly<{ code: string; path: string; message: string }>

/** A value, or the reason why there is none. The core throws only on a programmer's mistake. */
export type Outcome<T> = Readonly<{ ok: true; value: T }> | Readonly<{ ok: false; problem: Problem }>

export function success<T>(value: T): Outcome<T> {
  return { ok: true, value }
}

export function failure(problem: Problem): Outcome<never> {
  return { ok: false, problem }
}
