import 'server-only'
import { type Outcome, success } from '@/claims/terms/outcome'

type Import = Readonly<{ controller: AbortController; ended: Promise<string | undefined> }>

// On the global object: each route handler may have a copy of this module of its own.
const kept = globalThis as typeof globalThis & { trueWeightImports?: Map<string, Import> }
const running = (kept.trueWeightImports ??= new Map())

/** How long the end of an import is remembered: a cancel may come after it. */
const REMEMBERED_MS = 60_000

/**
 * Does an import that can be cancelled by its identifier.
 *
 * @param work - given what tells that it is cancelled; comes to the sample, or to nothing where none was stored
 */
export async function asImport(
  id: string,
  work: (signal: AbortSignal) => Promise<string | undefined>,
): Promise<void> {
  const controller = new AbortController()
  const ended = work(controller.signal)
  running.set(id, { controller, ended: ended.catch(() => undefined) })
  try {
    await ended
  } finally {
    setTimeout(() => running.delete(id), REMEMBERED_MS).unref()
  }
}

/**
 * Cancels an import, and waits until it has ended.
 *
 * @returns the sample where it was stored before it could be cancelled; null where nothing of it was, and for an import that
 *   nobody knows
 */
export async function cancelImport(id: string): Promise<Outcome<Readonly<{ sampleId: string | null }>>> {
  const found = running.get(id)
  found?.controller.abort()
  return success({ sampleId: (await found?.ended) ?? null })
}
