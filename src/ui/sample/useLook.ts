'use client'

import { useEffect, useMemo, useState } from 'react'
import { describeShortly } from '@/statistics/describe/describe'
import type { Look } from '@/pictures/readings'
import { sheets } from '@/workers/sheets'

/** So many readings are described at once; more than that in the worker. */
const MAX_AT_ONCE = 20_000

const looks = new WeakMap<readonly number[], Promise<Look>>()

/** Several pictures of the same readings share one look; it is asked for after the finding, which the worker answers first. */
function lookAt(values: readonly number[]): Promise<Look> {
  const look = looks.get(values) ?? Promise.resolve().then(() => sheets().look(values))
  looks.set(values, look)
  return look
}

/** What readings look like; undefined while that is being found out, and for fewer than two. */
export function useLook(values: readonly number[]): Look | undefined {
  const isLarge = values.length > MAX_AT_ONCE
  const atOnce = useMemo(() => {
    if (isLarge || values.length < 2) return undefined
    const sorted = Float64Array.from(values).sort()
    return { sorted, figures: describeShortly(values, sorted) }
  }, [values, isLarge])
  const [late, setLate] = useState<Readonly<{ of: readonly number[]; look: Look }>>()
  useEffect(() => {
    if (!isLarge) return
    let isOvertaken = false
    void lookAt(values).then((look) => {
      if (!isOvertaken) setLate({ of: values, look })
    })
    return () => {
      isOvertaken = true
    }
  }, [values, isLarge])
  return isLarge ? (late?.of === values ? late.look : undefined) : atOnce
}
