'use client'

import { useEffect, useState } from 'react'
import type { PlanDraft } from '@/desk/planDraft'
import { type Remote, wrap } from '@/workers/link'
import type { Planner } from '@/workers/planner'
import type { Planning } from '@/workers/planning'

/** So long a plan is waited for that is no longer wanted, before its worker is ended for it. */
const PATIENCE_MS = 400

/** A plan worked out, and the draft that it answers. */
type Worked = Readonly<{ draft: PlanDraft; planning: Planning }>

/** Works out the newest draft in a worker, one after the other: what is pulled along asks for more than are wanted. */
class Asked {
  private readonly tell: (worked: Worked) => void
  private worker: Worker | undefined
  /** Kept as long as the worker: where it is forgotten, the worker stops listening. */
  private planner: Remote<Planner> | undefined
  private running: PlanDraft | undefined
  private next: PlanDraft | undefined
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(tell: (worked: Worked) => void) {
    this.tell = tell
  }

  ask(draft: PlanDraft): void {
    this.next = draft
    if (!this.running) this.run()
    else
      this.timer ??= setTimeout(() => {
        this.end()
        this.run()
      }, PATIENCE_MS)
  }

  end(): void {
    clearTimeout(this.timer)
    this.timer = undefined
    this.worker?.terminate()
    this.worker = undefined
    this.planner = undefined
    this.running = undefined
  }

  private run(): void {
    const draft = this.next
    if (!draft) return
    this.next = undefined
    this.running = draft
    this.worker ??= new Worker(new URL('../../workers/planner.ts', import.meta.url), { type: 'module' })
    this.planner ??= wrap<Planner>(this.worker)
    void this.planner.work(draft).then((planning) => {
      // Of a worker that was ended nothing comes.
      clearTimeout(this.timer)
      this.timer = undefined
      this.running = undefined
      this.tell({ draft, planning })
      this.run()
    })
  }
}

/** What a plan comes to; until a newer one is there, what the one before it came to. */
export function usePlanning(draft: PlanDraft): Worked | undefined {
  const [worked, setWorked] = useState<Worked>()
  const [asked] = useState(() => new Asked(setWorked))
  useEffect(() => () => asked.end(), [asked])
  useEffect(() => asked.ask(draft), [asked, draft])
  return worked
}
