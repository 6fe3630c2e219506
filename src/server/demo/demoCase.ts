import type { CaseWords } from '@/core/case/caseWords'
import type { ClaimWithoutSample } from '@/core/claim/draft'
import type { SampleDraft } from '@/core/sample/sampleDraft'

/** What is known of a sample, and the file that holds its sheet, where there is one. */
export type DemoSample = Partial<SampleDraft> &
  Readonly<{
    file?: Readonly<{
      name: string
      bytes: () => Uint8Array
      labels: Readonly<Record<string, Partial<Words>>>
    }>
  }>
type Words = Readonly<{ label: string; unit: string; codes: string }>

export type DemoCase = Readonly<Pick<CaseWords, 'reference' | 'subject' | 'party'>> &
  Partial<CaseWords> &
  Readonly<{
    samples: readonly DemoSample[]
    /** Each with the place of its sample among those of the case, and of that of the second source. */
    claims: readonly (ClaimWithoutSample & Readonly<{ sample: number; second?: number }>)[]
  }>
