import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { killAll, serveFresh, type Served } from './server'

const TRUE_WEIGHT = path.resolve(__dirname, '../../bin/true-weight')
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-programs-'))

let server: Served
beforeAll(async () => {
  server = await serveFresh(['--demo'])
})
afterAll(killAll)

describe('programs ask under /api/v1', () => {
  const ask = (at: string, body?: string, headers: Record<string, string> = {}) =>
    fetch(`${server.address}/api/v1/${at}`, {
      ...(body === undefined ? {} : { method: 'POST', body }),
      headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
    })
  const document = {
    id: 'a',
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'readings', values: [14.93, 15.02, 14.88] },
  }

  test('and get what the command line answers', async () => {
    const answer = await (await ask('check', JSON.stringify(document))).json()
    const line = execFileSync(TRUE_WEIGHT, ['check'], { input: JSON.stringify(document), encoding: 'utf8' })
    expect(answer).toEqual(JSON.parse(line))
    const lines = `${JSON.stringify(document)}\nnot json\n`
    const many = await ask('check', lines, { 'Content-Type': 'application/x-ndjson' })
    expect(
      (await many.text())
        .trim()
        .split('\n')
        .map((one) => JSON.parse(one).ok),
    ).toEqual([true, false])
  })

  test('read cases, claims and samples', async () => {
    const { cases: found, total } = await (await ask('cases?order=reference&direction=rising')).json()
    expect(total).toBe(5)
    const sacks = found.find(({ subject }: { subject: string }) => subject === 'Brackwater pellet sacks')
    const known = await (await ask(`cases/${sacks.id}`)).json()
    const check = await (await ask(`claims/${known.claims[0].id}/check`)).json()
    expect(check.result.finding.outcome).toBe(known.claims[0].outcome)
    const sample = await (await ask(`samples/${known.samples[0].id}`)).json()
    expect(sample.caseId).toBe(sacks.id)
    expect(await (await ask(`samples/${sample.id}/sheet.csv`)).text()).toMatch(/^\S+\r\n/)
  })

  test('find it described', async () => {
    const described = await (await ask('openapi.json')).json()
    expect(described.openapi).toBe('3.1.0')
    for (const at of Object.keys(described.paths)) {
      const answer = await ask(at.slice(1).replace(/\{.*?\}/, '0190163d-8694-739b-aea5-966c26f8ad91'))
      expect([at, answer.status]).toEqual([at, at === '/check' ? 405 : at === '/cases' ? 200 : 404])
    }
  })

  test.each([
    ['no JSON', '{', {}, 400],
    ['no JSON type', '{}', { 'Content-Type': 'text/plain' }, 415],
    ['a document that is refused', '{"claim":{}}', {}, 422],
    ['too much', `{"id":"${'x'.repeat(33 * 1024 * 1024)}"}`, {}, 413],
    ['a page of another site', '{}', { Origin: 'https://elsewhere.example' }, 403],
  ])('%s is refused', async (_, body, headers, status) => {
    expect((await ask('check', body, headers as Record<string, string>)).status).toBe(status)
  })

  test('nobody backs up who does not know the token', async () => {
    const address = `${server.address}/api/backup`
    const order = JSON.stringify({ do: 'backup', file: path.join(folder, 'stolen.zip') })
    for (const Authorization of ['', 'Bearer ', 'Bearer undefined']) {
      const answer = await fetch(address, { method: 'POST', headers: { Authorization }, body: order })
      expect(answer.status).toBe(403)
    }
  })
})
