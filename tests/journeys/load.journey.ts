import { readFileSync } from 'node:fs'
import { randomFrom, times } from '../attack/writing'
import { killAll, samplesAt, serveFresh, type Served } from './server'

let server: Served
beforeAll(async () => {
  server = await serveFresh(['--demo'])
})
afterAll(killAll)

const json = { 'Content-Type': 'application/json' }
const get = async (at: string) => (await fetch(`${server.address}${at}`)).json()

/** The memory that the server holds, in MB. */
const memoryNow = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.process.pid}/status`, 'utf8'))![1]!) / 1024
const at99 = (took: number[]) => took.toSorted((a, b) => a - b)[Math.floor(took.length * 0.99)]!.toFixed(0)

test('readers and writers are served together, and nothing that was written is lost', async () => {
  const [readers, writers, ms] = [times(50, 10), times(10, 3), times(120_000, 4000)]
  const { cases } = await get('/api/v1/cases?order=reference&direction=rising')
  const pages = cases.flatMap(({ id }: { id: string }) => [
    `/cases/${id}`,
    `/cases/${id}/trail`,
    `/api/v1/cases/${id}`,
    '/',
  ])
  const headers = { ...json, Origin: server.address }
  const random = randomFrom(5)
  const until = performance.now() + ms
  const [reading, writing, wrong]: [number[], number[], unknown[]] = [[], [], []]
  const reader = async () => {
    // However busy the machine is, each does something.
    for (let count = 0; count === 0 || performance.now() < until; count += 1) {
      const start = performance.now()
      const answer = await fetch(`${server.address}${pages[Math.floor(random() * pages.length)]}`)
      await answer.text()
      reading.push(performance.now() - start)
      if (answer.status !== 200) wrong.push(answer.status)
    }
  }
  const writer = async (_: unknown, which: number) => {
    const { id } = cases[which % cases.length]
    const { claims } = await get(`/api/v1/cases/${id}`)
    // Two writers of one case write different claims.
    const claim = claims[Math.floor(which / cases.length) % claims.length]
    let { revision } = claim
    for (let count = 0; count === 0 || performance.now() < until; count += 1) {
      const start = performance.now()
      const draft = { ...claim.draft, remarks: `${which} wrote ${count}` }
      const body = JSON.stringify({ draft, revision, by: `writer ${which}` })
      const answer = await fetch(`${server.address}/api/claims/${claim.id}`, { method: 'PUT', headers, body })
      const said = await answer.json()
      writing.push(performance.now() - start)
      if (answer.status !== 200) return void wrong.push(said)
      revision = said.value.revision
      if (count % 20 === 0) {
        const { claims: now } = await get(`/api/v1/cases/${id}`)
        expect(now.find((one: { id: string }) => one.id === claim.id).draft.remarks).toBe(draft.remarks)
      }
    }
  }
  await Promise.all([
    ...Array.from({ length: readers }, reader),
    ...Array.from({ length: Math.min(writers, 2 * cases.length) }, writer),
  ])
  expect(wrong).toEqual([])
  console.info(
    `${reading.length} pages by ${readers} readers, p99 ${at99(reading)} ms; ${writing.length} changes by ${writers} writers, p99 ${at99(writing)} ms`,
  )
}, 600_000)

test('files that are brought in one after the other leave no memory behind', async () => {
  const [count, settled] = [times(20, 3), times(6, 1)]
  const rows = Array.from(
    { length: times(200_000, 20_000) },
    (_, at) => `depot ${at % 40},${(at * 7) % 1000},${at}`,
  )
  const body = `depot,mass,row\n${rows.join('\n')}\n`
  const { cases } = await get('/api/v1/cases?order=reference&direction=rising')
  let before = 0
  for (let at = 0; at < count; at += 1) {
    const answer = await fetch(`${server.address}${samplesAt(cases[0].id, `log${at}.csv`)}`, {
      ...{ method: 'POST', body },
      headers: { 'Content-Type': 'application/octet-stream', Origin: server.address },
    })
    expect(answer.status).toBe(200)
    expect(await answer.text()).toContain('brought-in')
    if (at + 1 === settled) before = memoryNow()
  }
  const grown = memoryNow() - before
  console.info(
    `${count} files of ${rows.length} rows: ${memoryNow().toFixed(0)} MB, ${grown.toFixed(0)} MB more than after ${settled}`,
  )
  expect(grown).toBeLessThan(300)
}, 600_000)
