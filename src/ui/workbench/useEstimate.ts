'use client'

import { useEffect, useMemo, useState } from 'react'
import { estimate, type EstimateAnswer, type EstimateFigures } from '@/answers/estimateRequest'
import type { EstimateDocument } from '@/claims/estimate'
import { takesLongToEstimate } from '@/claims/work'
import { sheets } from '@/workers/sheets'

/** What can be estimated while a claim has no value; nothing where it has one, or while it is being computed. */
export function useEstimate(document: EstimateDocument | undefined): EstimateFigures | undefined {
  const isLong = document !== undefined && takesLongToEstimate(document)
  const atOnce = useMemo(
    () => (document && !isLong ? figuresOf(estimate(document)) : undefined),
    [document, isLong],
  )
  const [late, setLate] =
    useState<Readonly<{ document: EstimateDocument; figures: EstimateFigures | undefined }>>()
  useEffect(() => {
    if (!document || !isLong) return
    let isOvertaken = false
    sheets()
      .estimate(document)
      .then(
        (answer) => {
          if (!isOvertaken) setLate({ document, figures: figuresOf(answer) })
        },
        // What is missing is said all the same.
        () => undefined,
      )
    return () => {
      isOvertaken = true
    }
  }, [document, isLong])
  if (!isLong) return atOnce
  return late?.document === document ? late?.figures : undefined
}

const figuresOf = (answer: EstimateAnswer) => (answer.ok ? answer.estimate : undefined)
