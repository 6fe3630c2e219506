import { compareGroups } from '@/claims/groups/groups'
import { groupsSchema } from '@/claims/groups/groupsRequest'
import { timed } from './timed'

const [rows, count] = process.argv.slice(2).map(Number) as [number, number]
const values = Array.from({ length: rows }, (_, at) => 2 + ((at * 7919) % 10_007) / 10_007 - 0.5)
const labels = values.map((_, at) => `depot ${at % count}`)
const marks = values.map((value) => Number(value > 2))
const claimOf = (parameter: 'mean' | 'standard-deviation' | 'proportion' | 'rate') => ({
  claim: { parameter, relation: 'at-most' as const, value: parameter === 'proportion' ? 0.5 : 2 },
})
const REQUESTS = {
  'a mean': { ...claimOf('mean'), values, labels },
  'a spread': { ...claimOf('standard-deviation'), values, labels },
  'a share': { ...claimOf('proportion'), values: marks, labels },
  'a rate': { ...claimOf('rate'), values: marks, labels, exposures: 1 },
  'net content': { content: { nominal: 2, unit: 'kg' as const }, values, labels },
}
const results = Object.fromEntries(
  Object.entries(REQUESTS).map(([name, request]) => {
    const read = groupsSchema.parse(request)
    return [name, timed(() => compareGroups(read))]
  }),
)
process.stdout.write(`${JSON.stringify(results)}\n`)
