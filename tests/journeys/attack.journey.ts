import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { EMPTY_BENCH } from '@/desk/bench'
import { misled, mutated } from '../attack/mutate'
import { randomFrom, times } from '../attack/writing'
import { killAll, samplesAt, serveFresh, type Served } from './server'

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
    '/office',
    '/bench?claimedValue=15&sample.kind=count&sample.count=3+of+4&toString=1&ends=here',
    '/planner?claimedValue=15&gap=1&scatter=2&2.gap=1&lotSize=9',
    '/reckoner?of=t&df=4&x=2',
    '/api/draw?draw={"lotSize":960,"count":30,"seed":7}&format=csv',
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
      `/api/claims/${claim.id}/findings/1/report?format=md`,
      `/api/claims/${claim.id}/readings?of=first`,
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
    {
      method: 'POST',
      at: '/api/bench',
      body: { check: EMPTY_BENCH, into: { subject: 'x' }, by: 'A' },
      headers: json,
    },
    {
      method: 'PUT',
      at: '/api/office/template?by=A',
      body: 'PK',
      headers: { 'Content-Type': 'application/octet-stream' },
    },
    { method: 'PUT', at: '/api/office/mark?by=A', body: 'PK', headers: { 'Content-Type': 'image/png' } },
    { method: 'POST', at: '/api/scale', body: { do: 'tare' }, headers: json },
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
    ...actionsAt('/office', [{ words: { office: 'a', authorisedBy: 'b', accreditation: 'c' }, by: 'A' }]),
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
