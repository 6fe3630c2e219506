/** Words that people write where nothing was measured. */
const MISSING_WORDS = new Set([
  'n/a',
  'na',
  'nan',
  'null',
  'none',
  'nil',
  '-',
  '–',
  '—',
  '?',
  '.',
  '#n/a',
  'missing',
])

/** Whether a text stands for a missing figure, as far as one can tell: to be asked about, not assumed. */
export function isMissingWord(text: string): boolean {
  return MISSING_WORDS.has(text.trim().toLowerCase())
}
