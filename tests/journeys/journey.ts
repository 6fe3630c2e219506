import type { Driver } from 'selenium-webdriver/chrome'
import { openBrowser } from './browser'
import { killAll, serve, type Served } from './server'

export type Journey = { server: Served; driver: Driver }

/** A server of its own and a browser for the tests of one file, ended after them. */
export function startJourney(options: readonly string[]): Journey {
  const journey = {} as Journey
  beforeAll(async () => {
    journey.server = await serve(options)
    journey.driver = await openBrowser()
  })
  afterAll(async () => {
    await journey.driver?.quit()
    await killAll()
  })
  return journey
}
