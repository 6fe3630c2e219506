import { networkInterfaces } from 'node:os'
import { By } from 'selenium-webdriver'
import { attribute, choose, click, follow, complaints, paste, press, see, type, untilSaved } from './browser'
import { openCase, startJourney, step } from './journey'

const journey = startJourney([], {
  arrive: ({ driver }) => see(driver, 'Does the sample support the claim?'),
  borne: /cases\/nowhere.* status of 404/,
})

test('a docket of one’s own, from nothing to a finding', async () => {
  await step(
    'the user’s own docket is empty at first, and a case is opened, named and given claims',
    async () => {
      await follow(journey.driver, 'Open a case')
      await follow(journey.driver, 'Back to the docket')
      await see(journey.driver, 'Does the sample support the claim?')
      await openCase(journey.driver, 'Stove fans')
      await type(journey.driver, 'Reference', 'WH-020')
      await untilSaved(journey.driver)
      await click(journey.driver, By.xpath('//button[.="Add a claim"]'))
      await see(journey.driver, 'says the', 'main h1')
      await see(journey.driver, 'Claim 2 of 2', 'header')
      await see(journey.driver, 'State the claimed value.', 'aside')
    },
  )
  await step('a claim is written, measured and found from nothing', async () => {
    await type(journey.driver, 'Quantity', 'sound level')
    await choose(journey.driver, 'Relation', 'less than')
    await type(journey.driver, 'Claimed value', '42')
    await type(journey.driver, 'Unit', 'dB')
    await paste(journey.driver, 'Readings', '41.2\n40.8\n41.5\n41.1')
    await see(journey.driver, 'Supported', 'aside')
    await untilSaved(journey.driver)
    await follow(journey.driver, 'Stove fans')
    await see(journey.driver, 'Mean sound level less than', 'main ol')
    await see(journey.driver, 'Supported', 'main ol')
    expect(await attribute(journey.driver, 'Reference')).toBe('WH-020')
  })
  await step('a claim that nothing rests on is discarded and taken up again', async () => {
    const { driver } = journey
    await follow(driver, 'Claim without a value')
    await press(driver, 'Discard this claim')
    await see(driver, 'Discarded: Claim without a value', 'main')
    await press(driver, 'Take it up again')
    await see(driver, /Mean sound level less than[^]*Claim without a value/, 'main ol')
    expect(await driver.findElements(By.css('[aria-label="Discarded claims"]'))).toHaveLength(0)
  })
  await step('markup in a name is shown as text', async () => {
    await type(journey.driver, 'Subject', '<img src=x onerror=alert(1)>')
    await untilSaved(journey.driver)
    await follow(journey.driver, 'Docket')
    await see(journey.driver, '<img src=x onerror=alert(1)>', 'main')
    expect(await complaints(journey.driver)).toEqual([])
  })
})

test('whoever asks for what is not theirs gets nothing', async () => {
  await step('an address that leads nowhere says so', async () => {
    await journey.driver.get(`${journey.server.address}/cases/nowhere`)
    await see(journey.driver, 'There is nothing at this address.')
  })
  await step(
    'pages are sent with a strict content policy and the usual headers, from this machine only',
    async () => {
      const { headers } = await fetch(journey.server.address)
      const policy = headers.get('content-security-policy') ?? ''
      expect(policy).toContain("default-src 'self'")
      expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'(;|$)/)
      expect(policy).not.toContain('unsafe')
      expect(headers.get('x-content-type-options')).toBe('nosniff')
      expect(headers.get('x-frame-options')).toBe('DENY')
      expect(headers.get('referrer-policy')).toBe('no-referrer')
      expect(headers.get('x-powered-by')).toBeNull()
    },
  )
  await step('the server listens on this machine’s own address only', async () => {
    const others = Object.values(networkInterfaces())
      .flatMap((addresses) => addresses ?? [])
      .filter(({ internal, family }) => !internal && family === 'IPv4')
    for (const { address } of others) {
      await expect(fetch(`http://${address}:${new URL(journey.server.address).port}`)).rejects.toThrow(
        'fetch failed',
      )
    }
  })
  await step('another site can change nothing, and another host name gets nothing', async () => {
    const put = (extra: Record<string, string>) =>
      fetch(claimAddress(), {
        method: 'PUT',
        body: '{}',
        headers: { 'Content-Type': 'application/json', ...extra },
      })
    expect((await put({ Origin: 'http://elsewhere.example' })).status).toBe(403)
    expect((await put({ Origin: 'null' })).status).toBe(403)
    expect((await put({ Origin: journey.server.address })).status).toBe(400)
    const { request } = await import('node:http')
    const status = await new Promise((resolve, reject) => {
      request(journey.server.address, { headers: { Host: 'elsewhere.example' } }, (answer) =>
        resolve(answer.statusCode),
      )
        .on('error', reject)
        .end()
    })
    expect(status).toBe(403)
  })
  await step('what is malformed or too large is refused with what is wrong', async () => {
    const put = async (body: string) => {
      const answer = await fetch(claimAddress(), { method: 'PUT', body })
      return {
        status: answer.status,
        code: ((await answer.json()) as { problem: { code: string } }).problem.code,
      }
    }
    expect(await put('{')).toEqual({ status: 400, code: 'not-json' })
    expect(await put('{"draft": 1}')).toEqual({ status: 400, code: 'invalid' })
    expect(await put(`"${'x'.repeat(33 * 1024 * 1024)}"`)).toEqual({ status: 413, code: 'too-large' })
    const unmeasured = new ReadableStream({
      start(stream) {
        stream.enqueue(new TextEncoder().encode('{}'))
        stream.close()
      },
    })
    const answer = await fetch(claimAddress(), {
      method: 'PUT',
      body: unmeasured,
      duplex: 'half',
    } as RequestInit)
    expect(answer.status).toBe(413)
  })
})

const claimAddress = () => `${journey.server.address}/api/claims/00000000-0000-7000-8000-000000000000`
