import type { OfficeMark } from '@/desk/office'

/** So large a mark is at the head of a page, in points, and no larger than its dots are on paper. */
const [MAX_WIDTH, MAX_HEIGHT, POINTS_PER_DOT] = [180, 54, 0.75]

/** How large a mark is shown, in points. */
export function sizeOfMark({ width, height }: OfficeMark): Readonly<{ width: number; height: number }> {
  const scale = Math.min(MAX_WIDTH / width, MAX_HEIGHT / height, POINTS_PER_DOT)
  return { width: width * scale, height: height * scale }
}

/** What those hear who do not see it. */
export const MARK_WORDS = 'Mark of the office'
