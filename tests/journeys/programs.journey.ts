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

  test('and are answered while something takes long, which ends when nobody waits for it any more', async () => {
    const values = Array.from({ length: 200_000 }, (_, at) => 15 + Math.sin(at * 12.9898) / 3)
    const long = { ...document, evidence: { kind: 'readings', values }, test: { method: 'bootstrap' } }
    const leaving = new AbortController()
    let state = 'under way'
    const asked = fetch(`${server.address}/api/v1/check`, {
      method: 'POST',
      body: JSON.stringify(long),
      headers: { 'Content-Type': 'application/json' },
      signal: leaving.signal,
    }).then(
      () => (state = 'answered'),
      () => (state = 'left'),
    )
    for (let times = 0; times < 10; times += 1) {
      expect((await ask('check', JSON.stringify(document))).status).toBe(200)
      expect((await fetch(server.address)).status).toBe(200)
    }
    expect(state).toBe('under way')
    leaving.abort()
    await asked
    expect(state).toBe('left')
    expect((await ask('check', JSON.stringify(document))).status).toBe(200)
  })

  test('read cases, claims and samples', async () => {
    const { cases: found, total } = await (await ask('cases?order=reference&direction=rising')).json()
    expect(total).toBe(8)
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
      const lists = ['/cases', '/findings']
      expect([at, answer.status]).toEqual([at, at === '/check' ? 405 : lists.includes(at) ? 200 : 404])
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

  const NOBODY = '0190163d-8694-739b-aea5-966c26f8ad91'
  test.each<readonly [string, string, RequestInit, number]>([
    ['a report in no format that there is', `api/cases/${NOBODY}/report?format=markdown`, {}, 400],
    ['a report of parts that are none', `api/cases/${NOBODY}/report?parts=everything`, {}, 400],
    ['a report of a finding that there is not', `api/claims/${NOBODY}/findings/1/report`, {}, 404],
    ['a report of a finding in no format', `api/claims/${NOBODY}/findings/1/report?format=x`, {}, 400],
    ['readings of no claim', `api/claims/${NOBODY}/readings`, {}, 404],
    ['readings of no source', `api/claims/${NOBODY}/readings?of=3`, {}, 400],
    ['an export in no format that there is', `api/samples/${NOBODY}/export?format=xlsx`, {}, 400],
    ['an export of a part that is none', `api/samples/${NOBODY}/export?part=all`, {}, 400],
    ['columns of no sample', `api/samples/${NOBODY}/columns`, {}, 404],
    ['a text with NUL', 'api/v1/cases?text=%00', {}, 400],
    ['a page in another base', 'api/v1/cases?page=0x10', {}, 400],
    ['a page with a blank', 'api/v1/cases?page=%201', {}, 400],
    ['an identifier that is none', 'api/v1/cases/1', {}, 404],
    ['an address that is no UTF-8', 'cases/%ff', {}, 400],
    [
      'a file as a form',
      `api/cases/${NOBODY}/samples?question={}`,
      { method: 'POST', body: new URLSearchParams({ a: '1' }) },
      415,
    ],
    ['a case file as a text', 'api/cases?name=x', { method: 'POST', body: 'PK' }, 415],
    ['a change that is no JSON', `api/claims/${NOBODY}`, { method: 'PUT', body: '{' }, 400],
    ['a change that is too deep', `api/claims/${NOBODY}`, { method: 'PUT', body: '['.repeat(20_000) }, 400],
    ['a change of no claim', `api/claims/${NOBODY}`, { method: 'PUT', body: '{}' }, 400],
  ])('%s is refused, in words', async (_, at, asked, status) => {
    const answer = await fetch(`${server.address}/${at}`, asked)
    expect([answer.status, (await answer.text()).length > 20]).toEqual([status, true])
  })

  test('pages take what they are asked for as well as they can', async () => {
    for (const at of ['?text=%00', '?page=0x10', '?page=1e9', `cases/${NOBODY}`, '?state=none']) {
      const answer = await fetch(`${server.address}/${at}`)
      expect([at, answer.status < 500]).toEqual([at, true])
    }
  })

  test('lines that are too deep get their error in their place', async () => {
    const lines = [JSON.stringify(document), '['.repeat(20_000), JSON.stringify(document)].join('\n')
    const answer = await ask('check', lines, { 'Content-Type': 'application/x-ndjson' })
    const answered = (await answer.text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line))
    expect(answered.map(({ ok }) => ok)).toEqual([true, false, true])
    expect(answered[1].error.message).toContain('more than 100 lists and objects')
  })
})
