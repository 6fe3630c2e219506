import type { CheckDocument } from '@/claims/terms/request'
import type { SampleDraft } from '@/desk/sampleDraft'
import { type FieldProblem, FieldReader, stated, wholeFrom } from './reading/fieldReader'
import { readSizes } from './reading/sizes'

type Readings = Extract<CheckDocument['evidence'], { kind: 'readings' }>

/** What of evidence names the clusters or the layers of its readings; or what is missing or can't be used. */
export type GroupsRead = Readonly<{
  groups?: Pick<Readings, 'cluster' | 'clustersInLot' | 'stratum' | 'strata'>
  missing?: readonly FieldProblem[]
  problems?: readonly FieldProblem[]
}>

type Grouped = Pick<
  SampleDraft,
  'groupedBy' | 'groupColumn' | 'clustersInLot' | 'strataSizes' | 'decimalMark'
>

const NAMES = { clusters: 'cluster', strata: 'layer' } as const

/**
 * The cluster or the layer of each reading that is taken.
 *
 * @param taken.labels - one for each reading, in their order; undefined where the sample has no column of them
 * @param taken.isSetAside - whether the reading at a place is
 */
export function readGroups(
  sample: Grouped,
  taken: Readonly<{
    labels: readonly string[] | undefined
    rows: readonly number[]
    isSetAside: (at: number) => boolean
  }>,
): GroupsRead {
  const { groupedBy, groupColumn } = sample
  if (groupedBy === 'none') return {}
  const { labels, rows, isSetAside } = taken
  if (groupColumn === '' || !labels)
    return {
      missing: [
        {
          field: 'groupColumn',
          message:
            groupedBy === 'clusters'
              ? 'Say which column names what was drawn: the pallet, batch or day of each reading.'
              : 'Say which column names the layer of the lot that each reading is of.',
        },
      ],
    }
  const unnamed = labels.findIndex((label, at) => label === '' && !isSetAside(at))
  if (unnamed >= 0) {
    const message = `Row ${rows[unnamed]! + 1} has no entry in “${groupColumn}”, so its ${NAMES[groupedBy]} is not known. Enter it, or set the row aside.`
    return { problems: [{ field: 'groupColumn', message }] }
  }
  return groupedBy === 'clusters' ? clustersOf(sample, labels) : strataOf(sample, labels)
}

function clustersOf(sample: Grouped, labels: readonly string[]): GroupsRead {
  const fields = new FieldReader<keyof SampleDraft>(sample, sample.decimalMark)
  const clustersInLot = fields.number('clustersInLot', 'number of clusters in the lot', wholeFrom(2))
  return fields.problems.length > 0
    ? { problems: fields.problems }
    : { groups: { cluster: [...labels], ...stated({ clustersInLot }) } }
}

function strataOf({ strataSizes, decimalMark }: Grouped, labels: readonly string[]): GroupsRead {
  const read = readSizes(strataSizes.split('\n'), decimalMark)
  if (!read.ok) return { problems: [{ field: 'strataSizes', message: read.message }] }
  const strata = Object.fromEntries(read.layers.map(({ name, units }) => [name, units]))
  const lacking = [...new Set(labels)].filter((label) => label !== '' && !Object.hasOwn(strata, label))
  if (lacking.length === 0) return { groups: { stratum: [...labels], strata } }
  const named = lacking.slice(0, 3).map((label) => `“${label}”`)
  const more = lacking.length > 3 ? ` and ${lacking.length - 3} more` : ''
  return {
    missing: [
      {
        field: 'strataSizes',
        message: `State how many units of the lot are in ${named.join(', ')}${more}, one a line, such as ${lacking[0]} = 400.`,
      },
    ],
  }
}
