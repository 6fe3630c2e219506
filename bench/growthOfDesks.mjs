// What a docket of so many cases costs, and a report of two claims over so many readings each, over HTTP.
import { timedFetch, withDesk } from './desk.mjs'
import { median } from './log.mjs'
import { sized, TURNS } from './sizes.mjs'

/** More cases take the bench an hour to make. */
const MOST = sized(1e4, 0)

export const growthOfDesks = {
  of: 'cases, and readings of each of two claims',
  columns: [
    { name: 'docket' },
    { name: 'docket, searched' },
    { name: 'report (PDF), first' },
    { name: 'report (PDF), again' },
  ],
  measure: async (size) => {
    if (size > MOST) return [undefined]
    return withDesk({ caseCount: size, claimCount: 2, readingCount: size }, async (address, { long }) => {
      const docket = await medianOf(address)
      const searched = await medianOf(`${address}?text=${Math.floor(size * 0.4711)}`)
      const report = `${address}api/cases/${long}/report?format=pdf`
      const first = (await timedFetch(report)).ms
      return [docket, searched, first, await medianOf(report)]
    })
  },
}

/** The median time of a few answers, after one to warm up. */
async function medianOf(url) {
  await timedFetch(url)
  const times = []
  for (let turn = 0; turn < TURNS; turn += 1) times.push((await timedFetch(url)).ms)
  return median(times)
}
