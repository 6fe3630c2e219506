'use client'

import type { SampleKind } from '@/desk/sampleDraft'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { useLabel, useSample } from '@/ui/sample/SampleProvider'
import { useSource } from '@/ui/workbench/SourceContext'
import { officerHere } from '@/ui/officer'
import { beginSample } from './actions'

export type SampleName = Readonly<{
  id: string
  name: string
  fileName: string | null
  columnNames: readonly string[]
}>

const KIND_WORDS: Readonly<Record<Exclude<SampleKind, 'file'>, string>> = {
  typed: 'readings typed here',
  summary: 'summary figures only',
  count: 'a count',
  events: 'events over an exposure',
}

const [NEW, OPEN] = ['new', 'open']

/** Which sample the claim is held against; in a case a new one can be begun. */
export function SampleChoice({
  caseId,
  samples,
}: Readonly<{ caseId?: string; samples: readonly SampleName[] }>) {
  const { draft, holdAgainst, isOpen } = useSource()
  const label = useLabel()
  const known = Object.fromEntries(
    samples.map(({ id, name, fileName }, at) => [id, name || fileName || `sample ${at + 1}`]),
  )
  const choose = async (id: string) => {
    const added = id === NEW ? await beginSample(caseId!, officerHere()) : id
    const names = samples.find((sample) => sample.id === id)?.columnNames
    if (added !== undefined && id !== OPEN) holdAgainst(added, names)
  }
  return (
    <InlineChoice
      label={label('Sample')}
      value={isOpen ? OPEN : draft.sampleId}
      words={{
        ...(isOpen ? { [OPEN]: 'a sample to be chosen' } : {}),
        ...known,
        ...(isOpen || draft.sampleId in known ? {} : { [draft.sampleId]: 'a new sample' }),
        ...(caseId === undefined ? {} : { [NEW]: 'begin a new sample' }),
      }}
      onChange={(id) => void choose(id)}
    />
  )
}

/** What the sample is called. */
export function SampleNameText() {
  const { draft, setField } = useSample()
  return (
    <InlineText
      label="Name of the sample"
      value={draft.name}
      placeholder="name of the sample"
      onChange={(name) => setField('name', name)}
    />
  )
}

/** How the sample is given; a file stays one. */
export function SampleKindChoice() {
  const { draft, setField, file } = useSample()
  const label = useLabel()
  if (file || draft.kind === 'file') return <>the file {file?.fileName}</>
  return (
    <InlineChoice
      label={label('How the sample is given')}
      value={draft.kind}
      words={KIND_WORDS}
      onChange={(kind) => setField('kind', kind)}
    />
  )
}
