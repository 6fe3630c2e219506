import { parameterOf } from '@/claims/all'
import type { GroupsDocument } from '@/claims/groups/groupsRequest'
import type { Claim } from '@/claims/terms/claim'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { CheckDocument } from '@/claims/terms/request'
import { cellText } from '@/intake/sheet/columns'
import { type Adjustment, ADJUSTMENTS } from '@/statistics/adjust/adjust'
import { clustersOf, type From, noRows, notOneOf, numbersOf, readingAt } from './csvParts'
import { marksOf } from './marksOf'

/** The claim against each entry of a column: rows without a reading stay with their group, which may then have none. */
export function groupsOf(
  { options, column: name, sheet, kept, claim }: From,
  stated: Readonly<{ claim: Claim; test: NonNullable<CheckDocument['test']> }>,
): Outcome<GroupsDocument> {
  const { by, adjust, cluster, lot } = options
  if (lot !== undefined) return failure(notWithGroups('--lot', 'the size of one lot'))
  if (adjust !== undefined && !ADJUSTMENTS.some((one) => one === adjust))
    return failure(notOneOf('--adjust', adjust, ADJUSTMENTS))
  const column = sheet.columns.find((one) => one.name === name)!
  const isMarked = parameterOf(claim.parameter).sample === 'counted' && !claim.limit
  const from = { column, kept, writing: sheet.writing }
  const value = isMarked ? marksOf(from, options.success) : readingsOf(from)
  if (!value.ok) return value
  const rows = Array.from(kept.keys()).filter((row) => kept[row] === 1)
  if (rows.length === 0) return failure(noRows(name, sheet.rowCount))
  const clusters = clustersOf(sheet, cluster, rows)
  if (!clusters.ok) return clusters
  const groups = sheet.columns.find((one) => one.name === by)!
  const values = rows.map((row) => {
    const own = value.value(row)
    return own === undefined ? null : Number(own)
  })
  return success({
    groups: {
      ...stated,
      ...{ values, labels: rows.map((row) => cellText(groups, row).trim()) },
      ...clusters.value,
      ...(parameterOf(claim.parameter).sample === 'events' ? { exposures: 1 } : {}),
      ...(adjust === undefined ? {} : { adjust: adjust as Adjustment }),
    },
  })
}

/** The reading of a row; nothing where it has none. */
function readingsOf({
  column,
  kept,
  writing,
}: Parameters<typeof marksOf>[0]): Outcome<(row: number) => number | undefined> {
  const numbers = numbersOf(column, kept, writing)
  if (!numbers.ok) return numbers
  return success((row) => readingAt(numbers.value, row))
}

function notWithGroups(option: string, what: string) {
  const message = `${option} states ${what}, and the groups of --by are several. Leave one of the two out.`
  return { code: 'not-together', path: option, message }
}
