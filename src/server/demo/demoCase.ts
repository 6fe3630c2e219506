import type { CaseWords } from '@/desk/caseWords'
import type { ClaimWithoutSample } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'

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
    /** Each with the place of its sample among those of the case, of that of the second source, and of those of other lots. */
    claims: readonly (ClaimWithoutSample &
      Readonly<{ sample: number; second?: number; others?: readonly number[] }>)[]
  }>
