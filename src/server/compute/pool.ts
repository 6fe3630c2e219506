import 'server-only'
import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { failure, type Outcome, type Problem } from '@/claims/terms/outcome'
import perform, { type Jobs } from './jobs'

/** Those that work long leave another for what is quick. */
const THREADS = Math.max(4, availableParallelism())
/** More than these wait for nothing: whoever asks is told. */
const MAX_WAITING = 200
const MAX_MEGABYTES = 1024
const MINUTE = 60_000

/** Kept on the global object, because a server may load this file more than once. */
const kept = globalThis as typeof globalThis & { trueWeightPool?: Piscina }

/** What a job is given up after, and by whom it is not waited for any more. */
export type JobLimits = Readonly<{ signal?: AbortSignal | undefined; minutes?: number }>

/**
 * Does a job in a thread of its own. The thread ends where it takes too long, or where nobody waits any more.
 *
 * TRUE_WEIGHT_WORKER names the bundled worker; without it (as where parts of the server are tested) the job is done at once.
 *
 * @throws GivenUp where it took too long, took too much memory, or too many were waiting
 */
export async function inThread<Name extends keyof Jobs>(
  job: Name,
  input: Parameters<Jobs[Name]>[0],
  { signal, minutes = 2 }: JobLimits = {},
): Promise<Awaited<ReturnType<Jobs[Name]>>> {
  const filename = process.env.TRUE_WEIGHT_WORKER
  if (!filename) return perform({ job, input }) as Awaited<ReturnType<Jobs[Name]>>
  kept.trueWeightPool ??= new Piscina({
    filename,
    minThreads: 1,
    maxThreads: THREADS,
    maxQueue: MAX_WAITING,
    idleTimeout: MINUTE,
    resourceLimits: { maxOldGenerationSizeMb: MAX_MEGABYTES },
  })
  const limit = AbortSignal.timeout(minutes * MINUTE)
  try {
    return await kept.trueWeightPool.run(
      { job, input },
      { signal: signal ? AbortSignal.any([signal, limit]) : limit },
    )
  } catch (error) {
    signal?.throwIfAborted()
    if (limit.aborted) throw new GivenUp(`It took longer than ${minutes} minutes and was given up.`)
    if (isOverload(error))
      throw new GivenUp('Too much is being computed at the moment. Ask again in a minute.')
    throw error
  }
}

/** A job that came to nothing, through no fault of its input. */
export class GivenUp extends Error {
  get problem(): Problem {
    return { code: 'given-up', path: '', message: `${this.message} The command line has no such limit.` }
  }
}

/** The outcome of work that waits for jobs, or the problem `given-up`. */
export async function unlessGivenUp<T>(work: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  try {
    return await work()
  } catch (error) {
    if (!(error instanceof GivenUp)) throw error
    return failure(error.problem)
  }
}

function isOverload(error: unknown): boolean {
  const { message, code } = error as Readonly<{ message?: string; code?: string }>
  return code === 'ERR_WORKER_OUT_OF_MEMORY' || /Task queue is at limit/.test(message ?? '')
}
