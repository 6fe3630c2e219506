'use client'

import { chakra } from '@chakra-ui/react'
import { findingSentence } from '@/core/wording/findingWords'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Sentence = chakra('p', { base: { fontFamily: 'heading', fontSize: '16px', lineHeight: '1.45' } })

/** The finding in plain words, with the decimals chosen for this claim. */
export function FindingSentence() {
  const { answer, reading } = useWorkbench()
  const { decimals } = useFormats()
  if (!answer?.ok || !reading.document) return null
  const { finding, test } = answer
  return (
    <Sentence>
      {findingSentence({
        outcome: finding.outcome,
        claim: reading.document.claim,
        significanceLevel: test.significanceLevel,
        estimate: answer.estimate,
        sample: answer.sample,
        interval: answer.interval,
        decimals,
      })}
    </Sentence>
  )
}
