import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { Batch, Style } from './answerBatch'

/** Fewer lines at once are answered faster than they are handed over. */
const MIN_LINES = 32
/** More threads than these wait for the one that reads and writes. */
const MAX_THREADS = 7
/** One batch in hand, and one to go on with. */
const MAX_IN_HAND = 2

type AnswerThread = Readonly<{
  worker: Worker
  /** Whoever waits for a batch, the first first: a thread answers in the order in which it is asked. */
  waiting: { resolve: (batch: Batch) => void; reject: (error: unknown) => void }[]
}>

/** Threads that answer lines beside this one, once there are many. */
export class AnswerThreads {
  private readonly style: Style
  private readonly program: URL | undefined
  private readonly threads: AnswerThread[] = []
  private hasBegun = false

  constructor(style: Style, program: URL | undefined) {
    this.style = style
    this.program = program
  }

  /** What lines come to; undefined where they are as well answered here: few, the first, or all threads having enough in hand. */
  answer(lines: readonly string[]): Promise<Batch> | undefined {
    const isFirst = !this.hasBegun
    this.hasBegun = true
    if (isFirst || !this.program || lines.length < MIN_LINES) return undefined
    if (this.threads.length === 0) this.begin(this.program)
    const [least] = this.threads.toSorted((one, other) => one.waiting.length - other.waiting.length)
    if (!least || least.waiting.length >= MAX_IN_HAND) return undefined
    return new Promise((resolve, reject) => {
      least.waiting.push({ resolve, reject })
      least.worker.postMessage(lines)
    })
  }

  async end(): Promise<void> {
    await Promise.all(this.threads.map(({ worker }) => worker.terminate()))
  }

  private begin(program: URL): void {
    const count = Math.min(MAX_THREADS, availableParallelism() - 1)
    for (let at = 0; at < count; at += 1) {
      const worker = new Worker(program, { workerData: this.style })
      const waiting: AnswerThread['waiting'] = []
      worker.on('message', (batch: Batch) => waiting.shift()!.resolve(batch))
      worker.on('error', (error) => {
        for (const { reject } of waiting.splice(0)) reject(error)
      })
      this.threads.push({ worker, waiting })
    }
  }
}
