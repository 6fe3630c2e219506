import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By } from 'selenium-webdriver'
import type { Driver } from 'selenium-webdriver/chrome'
import { click, complaints, follow, forget, openBrowser, press, see, type } from './browser'
import { hasEnded, keep, killAll, serve, serveFresh, type Served } from './server'

export type Journey = { server: Served; driver: Driver }

type Plan = Readonly<{
  /** Where each journey begins. */
  arrive: (journey: Journey) => Promise<void>
  /** Complaints of the browser that are no fault. */
  borne?: RegExp
}>

/**
 * A browser and a server for the journeys of one file. Each of them begins with the same data, restored by the application
 * itself, so that they can be made in any order, and ends without a complaint of the browser.
 */
export function startJourney(options: readonly string[], { arrive, borne }: Plan): Journey {
  const journey = {} as Journey
  let fresh = ''
  let isFresh = true
  beforeAll(async () => {
    journey.server = await serveFresh(options)
    fresh = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-fresh-')), 'fresh.zip')
    await keep(journey.server, 'backup', fresh)
    journey.driver = await openBrowser()
  })
  beforeEach(async () => {
    if (hasEnded(journey.server)) journey.server = await serve(options, journey.server.data)
    // Nobody has changed anything before the first one.
    if (!isFresh) await keep(journey.server, 'restore', fresh)
    isFresh = false
    await journey.driver.get(journey.server.address)
    await arrive(journey)
  })
  afterEach(async () => {
    const said = await complaints(journey.driver)
    await forget(journey.driver, journey.server.address)
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

/** Opens a case of its own, from the docket. */
export async function openCase(driver: Driver, subject: string): Promise<void> {
  await follow(driver, 'Open a case')
  await type(driver, 'Subject', subject)
  await press(driver, 'Open the case')
  await see(driver, 'Claims made by')
}

/** Locks a plan of one claim in a new case. */
export async function lockPlan(
  { driver, server }: Journey,
  {
    units,
    subject,
    by,
    words = '',
  }: Readonly<{ units: number; subject: string; by?: string; words?: string }>,
): Promise<void> {
  await driver.get(`${server.address}/planner?claimedValue=15&unit=kg&gap=0.1&scatter=0.18${words}`)
  await see(driver, `${units} units`, '[data-testid=units]')
  await click(driver, By.xpath('//summary[contains(., "Lock the plan")]'))
  if (by) await type(driver, 'Signed by', by)
  await type(driver, 'Subject of a new case', subject)
  await press(driver, 'Open it and lock the plan')
}

/** A part of a journey that goes on from the part before, named where it fails. */
export async function step(name: string, act: () => Promise<void>): Promise<void> {
  try {
    await act()
  } catch (error) {
    throw new Error(`${name}: ${error instanceof Error ? error.message : error}`, { cause: error })
  }
}
