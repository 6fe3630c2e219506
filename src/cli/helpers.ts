import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { Batch, Style } from './answerBatch'

/** Fewer lines at once are answered faster than they are handed over. */
const MIN_LINES = 32
/** More threads than these wait for the one that reads and writes. */
const MAX_THREADS = 7
/** One batch in hand, and one to go on with. */
const MAX_IN_HAND = 2

type Helper = Readonly<{
  worker: Worker
  /** Whoever waits for a batch, the first first: a thread answers in the order in which it is asked. */
  waiting: { resolve: (batch: Batch) => void; reject: (error: unknown) => void }[]
}>

/** Threads that answer lines beside this one, once there are many. */
export class Helpers {
  private readonly style: Style
  private readonly thread: URL | undefined
  private readonly helpers: Helper[] = []
  private hasBegun = false

  constructor(style: Style, thread: URL | undefined) {
    this.style = style
    this.thread = thread
  }

  /** What lines come to; undefined where they are as well answered here: few, the first, or all threads having enough in hand. */
  answer(lines: readonly string[]): Promise<Batch> | undefined {
    const isFirst = !this.hasBegun
    this.hasBegun = true
    if (isFirst || !this.thread || lines.length < MIN_LINES) return undefined
    if (this.helpers.length === 0) this.begin(this.thread)
    const [least] = this.helpers.toSorted((one, other) => one.waiting.length - other.waiting.length)
    if (!least || least.waiting.length >= MAX_IN_HAND) return undefined
    return new Promise((resolve, reject) => {
      least.waiting.push({ resolve, reject })
      least.worker.postMessage(lines)
    })
  }

  async end(): Promise<void> {
    await Promise.all(this.helpers.map(({ worker }) => worker.terminate()))
  }

  private begin(thread: URL): void {
    const count = Math.min(MAX_THREADS, availableParallelism() - 1)
    for (let at = 0; at < count; at += 1) {
      const worker = new Worker(thread, { workerData: this.style })
      const waiting: Helper['waiting'] = []
      worker.on('message', (batch: Batch) => waiting.shift()!.resolve(batch))
      worker.on('error', (error) => {
        for (const { reject } of waiting.splice(0)) reject(error)
      })
      this.helpers.push({ worker, waiting })
    }
  }
}
