'use client'

import type { Parameter } from '@/claims/terms/names'
import { isControlled } from '@/desk/claimDraft'
import { PARAMETER_NOUNS } from '@/words/en/parameters'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { useField } from '@/ui/workbench/useField'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** Places where claims stand; any other can be typed. */
const SOURCES = ['label', 'advertisement', 'data sheet', 'contract', 'leaflet'].map((value) => ({ value }))

export function SourceText() {
  return (
    <InlineText
      label="Source of the claim"
      placeholder="source"
      suggestions={SOURCES}
      {...useField('source')}
    />
  )
}

export function WordingText() {
  return (
    <InlineText
      label="Wording of the claim"
      placeholder="the claim, word for word"
      {...useField('wording')}
    />
  )
}

const CONTROL = 'net-content'
const WORDS = { ...PARAMETER_NOUNS, [CONTROL]: 'net content' } as const

/** What is claimed: a figure that is tested, or a net content that is controlled. */
export function ParameterChoice() {
  const { draft, setFields } = useWorkbench()
  return (
    <InlineChoice<Parameter | typeof CONTROL>
      label="Parameter"
      value={isControlled(draft) ? CONTROL : draft.parameter}
      words={WORDS}
      // The methods of one parameter are not those of another.
      onChange={(chosen) =>
        setFields(
          chosen === CONTROL
            ? { control: CONTROL, parameter: 'mean', relation: 'at-least', burden: null, method: 'auto' }
            : { control: 'none', parameter: chosen, method: 'auto' },
        )
      }
    />
  )
}
