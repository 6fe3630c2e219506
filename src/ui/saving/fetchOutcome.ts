import type { Outcome } from '@/claims/terms/outcome'

/** A request that outlives its page may carry no more than 64 KiB. */
const LARGEST_PARTING = 60_000

/** Asks the server of this page for an outcome; undefined where it does not answer. */
export async function fetchOutcome<T>(address: string): Promise<Outcome<T> | undefined> {
  return outcomeOf(fetch(address, { cache: 'no-store' }))
}

/** Sends a change to the server of this page, also while the page is being left if the change is small enough. */
export async function putOutcome<T>(address: string, change: unknown): Promise<Outcome<T> | undefined> {
  const body = JSON.stringify(change)
  const headers = { 'Content-Type': 'application/json' }
  return outcomeOf(fetch(address, { method: 'PUT', headers, body, keepalive: body.length < LARGEST_PARTING }))
}

/** What a request came to; undefined where the server does not answer. */
export async function outcomeOf<T>(request: Promise<Response>): Promise<Outcome<T> | undefined> {
  try {
    return (await (await request).json()) as Outcome<T>
  } catch {
    return undefined
  }
}
