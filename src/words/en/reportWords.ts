import type { Language, PartName, ReportFormat, Unstated } from '@/desk/reportOptions'

/** How each way of writing numbers looks. */
export const LANGUAGE_WORDS: Readonly<Record<Language, string>> = { point: '1,234.5', comma: '1\u202f234,5' }

/** What becomes of what is not stated of a case or a sample. */
export const UNSTATED_WORDS: Readonly<Record<Unstated, string>> = {
  'left-out': 'left out',
  named: 'named as not stated',
}

/** What a report can be taken away as. */
export const FORMAT_WORDS: Readonly<Record<ReportFormat, string>> = {
  pdf: 'PDF',
  docx: 'DOCX',
  html: 'HTML',
  md: 'Markdown',
}

/** The parts of a report that can be chosen. */
export const PART_WORDS: Readonly<Record<PartName, string>> = {
  cover: 'cover block',
  summary: 'summary of findings',
  hypotheses: 'hypotheses',
  sample: 'sample and its origin',
  conditions: 'conditions',
  pictures: 'pictures',
  test: 'figures of the test',
  'cross-examination': 'cross-examination',
  groups: 'groups and lots',
  readings: 'readings, as an appendix',
  working: 'working, as an appendix',
  sources: 'methods and sources',
  'simultaneous-intervals': 'simultaneous intervals',
}
