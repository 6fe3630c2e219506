import type { TestFigures, TestPart } from './result'

/** The tests that a decision was made by: one, or those of the lower and of the upper limit of a tolerance. */
export function partsOf(test: TestFigures): readonly TestPart[] {
  return 'parts' in test ? test.parts : [test]
}
