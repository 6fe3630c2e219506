import { cpSync, rmSync } from 'node:fs'
import path from 'node:path'
import type { Driver } from 'selenium-webdriver/chrome'
import { complaints, follow, openBrowser, see } from './browser'
import { kill, killAll, newDataFolder, serve, type Served } from './server'

export type Journey = { server: Served; driver: Driver }

type Plan = Readonly<{
  /** Where each journey begins. */
  arrive: (journey: Journey) => Promise<void>
  /** Complaints of the browser that are no fault. */
  borne?: RegExp
}>

/**
 * A browser for the journeys of one file. Each of them begins with the same data on a server of its own, so that they can be
 * made in any order, and ends without a complaint of the browser.
 */
export function startJourney(options: readonly string[], { arrive, borne }: Plan): Journey {
  const journey = {} as Journey
  let fresh = ''
  /** The server of the journey after this one, which starts meanwhile. */
  let next: Promise<Served>
  const begin = () => {
    const data = newDataFolder()
    cpSync(fresh, data, { recursive: true })
    const served = serve(options, data)
    served.catch(() => {})
    return served
  }
  beforeAll(async () => {
    const first = await serve(options)
    await kill(first)
    fresh = first.data
    rmSync(path.join(fresh, 'in-use.json'), { force: true })
    next = begin()
    journey.driver = await openBrowser()
  })
  beforeEach(async () => {
    journey.server = await next
    next = begin()
    await journey.driver.get(journey.server.address)
    await arrive(journey)
  })
  afterEach(async () => {
    const said = await complaints(journey.driver)
    await journey.driver.get('about:blank')
    await kill(journey.server)
    rmSync(journey.server.data, { recursive: true, force: true })
    expect(said.filter((one) => !borne?.test(one))).toEqual([])
  })
  afterAll(async () => {
    await journey.driver?.quit()
    await killAll()
  })
  return journey
}

/** Begins on the workbench of a claim of the demo. */
export function atClaim(subject: string, claim: string) {
  return async ({ driver }: Journey): Promise<void> => {
    await follow(driver, subject)
    await follow(driver, claim)
    await see(driver, 'says the', 'main h1')
  }
}

/** A part of a journey that goes on from the part before, named where it fails. */
export async function step(name: string, act: () => Promise<void>): Promise<void> {
  try {
    await act()
  } catch (error) {
    throw new Error(`${name}: ${error instanceof Error ? error.message : error}`, { cause: error })
  }
}
