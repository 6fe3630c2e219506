import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { misled, mutated } from '../attack/mutate'
import { randomFrom, times } from '../attack/writing'
import { killAll, serveFresh, type Served } from './server'

const REQUESTS = times(5000, 400)
const AT_ONCE = 6
const MANIFEST = path.resolve(__dirname, '../../.next/server/server-reference-manifest.json')
/** Refused for the moment, in words. */
const BUSY = new Set([503, 507])

let server: Served
beforeAll(async () => {
  server = await serveFresh(['--demo'])
})
afterAll(killAll)

type Target = Readonly<{
  method: string
  at: string
  /** JSON, or what else is sent. */
  body?: unknown
  headers?: Readonly<Record<string, string>>
}>

const json = { 'Content-Type': 'application/json' }
const samplesAt = (caseId: string, fileName: string) =>
  `/api/cases/${caseId}/samples?question=${encodeURIComponent(JSON.stringify({ fileName, by: 'A' }))}`
const get = async (at: string) => (await fetch(`${server.address}${at}`)).json()

/** Every route and every server action, each with something that it takes. */
async function targets(): Promise<readonly Target[]> {
  const { cases } = await get('/api/v1/cases?order=reference&direction=rising')
  const reads: string[] = [
    '/',
    '/?text=pellet&state=any',
    '/keys',
    '/api/keys/register',
    '/api/v1/openapi.json',
    '/cases/new',
  ]
  const writes: Target[] = []
  for (const { id } of cases) {
    const own = await get(`/api/v1/cases/${id}`)
    const [claim] = own.claims
    const sample = await get(`/api/v1/samples/${own.samples[0].id}`)
    reads.push(
      `/cases/${id}`,
      `/cases/${id}/trail?page=0`,
      `/cases/${id}/report?parts=cover,summary`,
      `/cases/${id}?together=intervals`,
    )
    reads.push(
      `/cases/${id}/claims/${claim.id}`,
      `/cases/${id}/samples/${sample.id}`,
      `/api/cases/${id}/file`,
    )
    reads.push(
      `/api/cases/${id}/report?format=md&decimals=2&numbers=comma`,
      `/api/v1/claims/${claim.id}/check`,
    )
    reads.push(
      `/api/samples/${sample.id}/columns?name=mass`,
      `/api/samples/${sample.id}/export?format=csv&rows=all`,
    )
    reads.push(
      `/api/v1/samples/${sample.id}/sheet.csv`,
      `/api/claims/${claim.id}/findings/1`,
      '/api/v1/cases?text=a&page=0',
    )
    writes.push(
      {
        method: 'PUT',
        at: `/api/claims/${claim.id}`,
        body: { draft: claim.draft, revision: claim.revision, by: 'A' },
      },
      {
        method: 'PUT',
        at: `/api/samples/${sample.id}`,
        body: { draft: sample.draft, revision: sample.revision, by: 'A' },
      },
      { method: 'PUT', at: `/api/cases/${id}`, body: { words: { subject: 'x' }, by: 'A' } },
      { method: 'POST', at: '/api/v1/check', body: (await get(`/api/v1/claims/${claim.id}/check`)).document },
      {
        method: 'POST',
        at: samplesAt(id, 'a.csv'),
        body: 'a,b\n1,2\n',
        headers: { 'Content-Type': 'application/octet-stream' },
      },
      ...actionsAt(`/cases/${id}/claims/${claim.id}`, [
        claim.id,
        { signedBy: 'A', signedOn: '2026-01-01', inputFingerprint: 'x', jws: 'x' },
      ]),
      ...actionsAt(`/cases/${id}`, [id, { id: claim.id, isDiscarded: true }, 'A']),
    )
  }
  return [
    ...reads.map((at) => ({ method: 'GET', at })),
    ...writes,
    {
      method: 'POST',
      at: '/api/cases?name=a.zip&by=A',
      body: 'PK',
      headers: { 'Content-Type': 'application/zip' },
    },
    { method: 'POST', at: '/api/backup', body: { do: 'backup', file: '/tmp/x.zip' } },
    {
      method: 'POST',
      at: '/api/v1/check',
      body: {
        plan: {
          claim: { parameter: 'mean', relation: 'at-least', value: 1 },
          assume: { value: 0.5, standardDeviation: 1 },
          find: 'n',
          power: 0.8,
        },
      },
    },
    ...actionsAt('/keys', ['x', 'A']),
    ...actionsAt('/cases/new', [{ reference: 'a', subject: 'b', party: 'c' }, 'A']),
  ]
}

/** The server actions of a page, as its own scripts would call them. */
function actionsAt(at: string, args: readonly unknown[]): readonly Target[] {
  if (!existsSync(MANIFEST)) throw new Error('the build has no list of its actions')
  const { node } = JSON.parse(readFileSync(MANIFEST, 'utf8')) as Readonly<{ node: Record<string, unknown> }>
  return Object.keys(node).map((id) => ({
    method: 'POST',
    at,
    body: args,
    headers: { 'Next-Action': id, 'Content-Type': 'text/plain;charset=UTF-8', Accept: 'text/x-component' },
  }))
}

test(`of ${REQUESTS} requests that are not as they have to be, none breaks the server`, async () => {
  const random = randomFrom(20261128)
  const all = await targets()
  const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD', 'OPTIONS']
  const broken: unknown[] = []
  const took: number[] = []
  const statuses = new Map<number, number>()
  const one = async () => {
    const target = all[Math.floor(random() * all.length)]!
    const at = random() < 0.5 ? misled(random, target.at) : target.at
    const method = random() < 0.06 ? methods[Math.floor(random() * methods.length)]! : target.method
    const body = target.body === undefined || random() < 0.1 ? undefined : mutated(random, target.body)
    const text = typeof body === 'string' ? body : JSON.stringify(body)
    const sent = text && random() < 0.05 ? text.slice(0, Math.floor(random() * text.length)) : text
    const isSent = sent !== undefined && !['GET', 'HEAD'].includes(method)
    const origin = random() < 0.9 ? { Origin: server.address } : { Origin: 'http://elsewhere.example' }
    const start = performance.now()
    const answer = await fetch(`${server.address}${at}`, {
      method,
      headers: { ...(isSent ? json : {}), ...target.headers, ...origin },
      ...(isSent ? { body: sent } : {}),
      redirect: 'manual',
    })
    const said = await answer.text()
    took.push(performance.now() - start)
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
    const isBroken = answer.status >= 500 && !BUSY.has(answer.status)
    if (isBroken)
      broken.push({
        method,
        at: at.slice(0, 200),
        sent: sent?.slice(0, 300),
        headers: target.headers,
        status: answer.status,
        said: said.slice(0, 200),
      })
  }
  let begun = 0
  const worker = async () => {
    while (begun < REQUESTS && broken.length < 5) {
      begun += 1
      await one()
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
  expect(broken).toEqual([])
  expect((await fetch(server.address)).status).toBe(200)
  took.sort((a, b) => a - b)
  const memory = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.process.pid}/status`, 'utf8'))![1]!
  console.info(
    `${REQUESTS} requests: p99 ${took[Math.floor(took.length * 0.99)]!.toFixed(0)} ms, slowest ${took.at(-1)!.toFixed(0)} ms, ${Math.round(Number(memory) / 1024)} MB at most, answers ${JSON.stringify([...statuses].toSorted())}`,
  )
}, 1_800_000)

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
    while (performance.now() < until) {
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
    for (let count = 0; performance.now() < until; count += 1) {
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
