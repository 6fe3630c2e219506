// Fifty readers and ten writers of one desk: on the embedded database, and on a PostgreSQL server by one, two and four servers
// of the application, all of them with their readers on this machine.
import { readdirSync, readFileSync } from 'node:fs'
import { build } from '../scripts/build.mjs'
import { withPostgres } from '../scripts/postgres.mjs'
import { newFolder, startServer } from './server.mjs'
import { sized } from './sizes.mjs'

const READERS = sized(50, 5)
const WRITERS = sized(10, 2)
const LASTS_MS = sized(30_000, 1500)
const SERVERS = sized([1, 2, 4], [2])
const TICKS_A_SECOND = 100

export async function measureLoad() {
  await build()
  console.log(
    `${READERS} readers and ${WRITERS} writers on this machine:\n` +
      '| database | servers | pages a second | p50 ms | p95 ms | changes a second | p95 ms | processor, ms a page: servers | database | memory of a server, MB |\n' +
      '| :-- | --: | --: | --: | --: | --: | --: | --: | --: | --: |',
  )
  console.log(rowOf('embedded', 1, await loadOf(1, {})))
  for (const count of SERVERS)
    await withPostgres(async (address) => {
      const load = await loadOf(count, { DATABASE_URL: `${address}/postgres` })
      console.log(rowOf('PostgreSQL', count, load))
    })
}

function rowOf(database, count, { reading, writing, seconds, processor, memory }) {
  const pages = reading.length
  const ended = [
    ...[database, count, (pages / seconds).toFixed(1), at(reading, 0.5), at(reading, 0.95)],
    ...[(writing.length / seconds).toFixed(1), at(writing, 0.95)],
    ...[(processor.servers / pages).toFixed(0), (processor.database / pages).toFixed(0), memory.toFixed(0)],
  ]
  return `| ${ended.join(' | ')} |`
}

const at = (took, part) =>
  (took.toSorted((a, b) => a - b)[Math.floor(took.length * part)] ?? Number.NaN).toFixed(0)

/** So many servers of one desk, while all read and write. */
async function loadOf(count, env) {
  const servers = []
  try {
    // The first fills the desk with the demo's cases.
    for (let which = 0; which < count; which += 1)
      servers.push(await startServer(['--demo', '--data', newFolder()], env))
    const addresses = servers.map(({ address }) => address)
    await readAndWrite(addresses, LASTS_MS / 4)
    const before = processorOf(servers)
    const started = performance.now()
    const { reading, writing } = await readAndWrite(addresses, LASTS_MS)
    const seconds = (performance.now() - started) / 1000
    const after = processorOf(servers)
    const processor = {
      servers: after.servers - before.servers,
      database: after.database - before.database,
    }
    const memory = Math.max(...servers.map(({ process }) => memoryOf(process.pid)))
    return { reading, writing, seconds, processor, memory }
  } finally {
    for (const { process } of servers) process.kill('SIGKILL')
  }
}

/** How long each page and each change took, in milliseconds. Each reader and writer keeps to one server. */
async function readAndWrite(addresses, lastsMs) {
  const addressFor = (which) => addresses[which % addresses.length]
  const { cases } = await (await fetch(`${addresses[0]}api/v1/cases?order=reference&direction=rising`)).json()
  const pages = ['', ...cases.flatMap(({ id }) => [`cases/${id}`, `cases/${id}/trail`, `api/v1/cases/${id}`])]
  const until = performance.now() + lastsMs
  const [reading, writing] = [[], []]
  const timed = async (took, url, options) => {
    const start = performance.now()
    const answer = await fetch(url, options)
    const text = await answer.text()
    if (answer.status !== 200) throw new Error(`${url} answered ${answer.status}: ${text.slice(0, 200)}`)
    took.push(performance.now() - start)
    return text
  }
  const reader = async (_, which) => {
    for (let page = which; performance.now() < until; page += 1)
      await timed(reading, `${addressFor(which)}${pages[page % pages.length]}`)
  }
  const writer = async (_, which) => {
    const address = addressFor(which)
    const { id } = cases[which % cases.length]
    const { claims } = await (await fetch(`${address}api/v1/cases/${id}`)).json()
    // Two writers of one case write different claims.
    const claim = claims[Math.floor(which / cases.length) % claims.length]
    const headers = { 'Content-Type': 'application/json', Origin: new URL(address).origin }
    let { revision } = claim
    for (let count = 0; performance.now() < until; count += 1) {
      const draft = { ...claim.draft, remarks: `${which} wrote ${count}` }
      const body = JSON.stringify({ draft, revision, by: `writer ${which}` })
      const said = await timed(writing, `${address}api/claims/${claim.id}`, { method: 'PUT', headers, body })
      revision = JSON.parse(said).value.revision
    }
  }
  await Promise.all([...Array.from({ length: READERS }, reader), ...Array.from({ length: WRITERS }, writer)])
  return { reading, writing }
}

/** Processor time so far, in milliseconds: of the application's servers, and of whatever is called postgres. */
function processorOf(servers) {
  const pids = readdirSync('/proc').filter((name) => /^\d+$/.test(name))
  const sum = (chosen) => chosen.reduce((total, pid) => total + timeOf(pid), 0)
  return {
    servers: sum(servers.map(({ process }) => process.pid)),
    database: sum(pids.filter((pid) => textOf(pid, 'comm').startsWith('postgres'))),
  }
}

/** Of a process with those of its children that have ended. */
export function timeOf(pid) {
  const [, rest = ''] = textOf(pid, 'stat').split(') ')
  return (
    rest
      .split(' ')
      .slice(11, 15)
      .reduce((sum, ticks) => sum + Number(ticks), 0) *
    (1000 / TICKS_A_SECOND)
  )
}

/** What a process holds, in megabytes. */
export const memoryOf = (pid) => Number(/VmRSS:\s+(\d+)/.exec(textOf(pid, 'status'))[1]) / 1024

/** Nothing where the process has ended. */
function textOf(pid, name) {
  try {
    return readFileSync(`/proc/${pid}/${name}`, 'utf8')
  } catch {
    return ''
  }
}
