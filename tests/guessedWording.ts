import { readWording } from '@/intake/readWording'

/** What is guessed, on one line: parameter, relation, value with its tolerance, unit; “?” for what the words leave open. */
export function guessed(wording: string, mark: 'point' | 'comma' = 'point'): string {
  const {
    parameter = '?',
    relation = '?',
    claimedValue = '?',
    toleranceBelow,
    toleranceAbove,
    unit,
  } = readWording(wording, mark)?.words ?? {}
  expect(toleranceAbove).toBe(toleranceBelow)
  const tolerance = toleranceBelow && `± ${toleranceBelow}`
  return [parameter, relation, claimedValue, tolerance, unit].filter(Boolean).join(' ')
}
