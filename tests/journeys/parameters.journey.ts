import { By } from 'selenium-webdriver'
import { readReference } from '@tests/reference/reference'
import { choose, control, follow, fullFigure, paste, press, see, type, untilSaved } from './browser'
import { openCase, startJourney, step } from './journey'

// Every parameter from the words of the claim to the signed finding. The figures that the screen should show were computed
// with mpmath at 55 digits: tests/reference/SOURCES.md.

type Raw = Readonly<Record<string, unknown>>
type Case = Readonly<{
  id: string
  statistic: string
  p_less: string
  p_greater: string
  p_two_sided: string
}>
type MeanCase = Case & Readonly<{ input: Readonly<{ data: readonly string[]; mu0: string }> }>
type SpreadCase = Case &
  Readonly<{
    input: Readonly<{ data: readonly string[]; sigma0: string }>
    n: string
    sd: string
    variance: string
  }>
type ShareCase = Readonly<{
  id: string
  x: string
  n: string
  p0: string
  score: Readonly<{ z: string; p_less: string }>
  exact: Readonly<{ p_less: string }>
}>
type RateCase = Readonly<{
  id: string
  input: Readonly<{ rate0: string }>
  events: string
  exposure: string
  estimate: string
  score: Readonly<{ z: string; p_greater: string }>
  exact: Readonly<{ p_greater: string }>
}>
type RatioCase = Case &
  Readonly<{ input: Readonly<{ data1: readonly string[]; data2: readonly string[]; ratio0: string }> }>
type RankCase = Readonly<{
  id: string
  data: readonly string[]
  mu0: string
  w_plus: string
  exact: Readonly<{ p_less: string }>
  sign_test: Readonly<{ p_less: string }>
}>

function caseOf<T extends Readonly<{ id: string }>>(file: string, list: string, id: string): T {
  const found = (readReference<Raw>(file)[list] as readonly T[]).find((one) => one.id === id)
  if (!found) throw new Error(`${file} has no ${id}`)
  return found
}

const journey = startJourney([], {
  arrive: ({ driver }) => openCase(driver, 'Stove fans'),
})

/** Adds a claim to the case and reads its wording. */
async function claim(wording: string, reading: string) {
  await press(journey.driver, 'Add a claim')
  await see(journey.driver, 'says the', 'main h1')
  await type(journey.driver, 'Wording of the claim', wording)
  await see(journey.driver, reading, '[aria-label="Read from the wording"]')
  await see(journey.driver, 'State the claimed value.', 'aside')
  await press(journey.driver, 'Use this reading')
}

async function isAbout(table: string, name: string, expected: string) {
  const value = Number(expected)
  const isRight = (seen: number) => Math.abs(seen - value) <= 1e-9 * Math.abs(value)
  const seen = await fullFigure(journey.driver, table, name, isRight)
  expect({ name, seen, isRight: isRight(seen) }).toEqual({ name, seen, isRight: true })
}

const isTested = (name: string, expected: string) => isAbout('Figures of the test', name, expected)

/** Signs the finding, and computes it again from what was signed. */
async function signAndVerify(outcome: string) {
  const { driver } = journey
  await see(driver, outcome, 'aside')
  await untilSaved(driver)
  await type(driver, 'Signed by', 'A. Inspector')
  await press(driver, 'Sign the finding')
  await see(driver, 'This finding is signed as it stands.', '#finding')
  await follow(driver, 'Signed finding 1')
  await see(driver, outcome, 'main')
  await see(driver, 'Signed by A. Inspector', 'main')
  await see(driver, 'What is stored has the fingerprint that it had when it was signed.', 'main')
  await see(driver, /Computed again with core [\d.]+: every figure is the same\./, 'main')
}

test('a mean', async () => {
  const row = caseOf<MeanCase>('mean_tests.json', 'cases', 't_raw_4')
  // Who works at this browser is another than who signs.
  await journey.driver.executeScript('localStorage.setItem("true-weight-officer", "B. Weigher")')
  await claim(`no less than ${row.input.mu0} g on average`, `mean at least ${row.input.mu0} g`)
  await paste(journey.driver, 'Readings', row.input.data.join('\n'))
  await isTested('Test statistic t', row.statistic)
  await isTested('p-value', row.p_less)
  await signAndVerify(Number(row.p_less) <= 0.05 ? 'Contradicted' : 'Not contradicted')
  await see(journey.driver, 'entered by B. Weigher', 'main')
})

test('a standard deviation', async () => {
  const row = caseOf<SpreadCase>('variance_tests.json', 'one_sample', 'var_raw_4')
  await claim(
    `varies by no more than ${row.input.sigma0} °C`,
    `standard deviation at most ${row.input.sigma0} °C`,
  )
  await paste(journey.driver, 'Readings', row.input.data.join('\n'))
  await isTested('Test statistic χ²', row.statistic)
  await isTested('p-value', row.p_greater)
  await isAbout('Key figures', 'Standard deviation', row.sd)
  await signAndVerify(Number(row.p_greater) <= 0.05 ? 'Contradicted' : 'Not contradicted')
})

test('a variance, from summary figures', async () => {
  const row = caseOf<SpreadCase & { input: { variance: string; variance0: string } }>(
    'variance_tests.json',
    'one_sample',
    'var_sum_3',
  )
  await claim(`variance of at least ${row.input.variance0} mm`, `variance at least ${row.input.variance0} mm`)
  await choose(journey.driver, 'How the sample is given', 'summary figures only')
  await type(journey.driver, 'Number of readings', row.n)
  await choose(journey.driver, 'Kind of spread', 'variance')
  await type(journey.driver, 'Spread of the sample', row.input.variance)
  await isTested('Test statistic χ²', row.statistic)
  await isTested('p-value', row.p_less)
  await signAndVerify(Number(row.p_less) <= 0.05 ? 'Contradicted' : 'Not contradicted')
})

test('a share', async () => {
  const row = caseOf<ShareCase>('proportion_tests.json', 'cases', 'prop_18')
  const percent = `${Number((Number(row.p0) * 100).toPrecision(12))} %`
  await claim(`at least ${percent} of parcels arrive whole`, `share at least ${percent}`)
  await choose(journey.driver, 'How the sample is given', 'a count')
  await type(journey.driver, 'Count', `${row.x} of ${row.n}`)
  await isTested('p-value', row.exact.p_less)
  await choose(journey.driver, 'Method of the test', 'the score z test')
  await isTested('Test statistic z', row.score.z)
  await isTested('p-value', row.score.p_less)
  await signAndVerify(Number(row.score.p_less) <= 0.05 ? 'Contradicted' : 'Not contradicted')
})

test('a rate, from a total and from counts of stretches', async () => {
  const { driver } = journey
  const row = caseOf<RateCase>('rate_tests.json', 'cases', 'rate_14')
  await claim(
    `no more than ${row.input.rate0} faults per 100 m`,
    `rate of faults at most ${row.input.rate0} per 100 m`,
  )
  await choose(driver, 'How the sample is given', 'events over an exposure')
  await type(driver, 'Events', row.events)
  // In metres, of which the rate is per a hundred.
  await type(driver, 'Exposure', String(Math.round(Number(row.exposure) * 100)))
  await see(driver, `m (${Number(row.exposure)} times 100 m).`, '#evidence')
  await isTested('p-value', row.exact.p_greater)
  await isAbout('Key figures', 'Rate', row.estimate)
  await see(driver, 'cannot be told from their total', '#conditions')
  await choose(driver, 'Method of the test', 'the Poisson score test')
  await isTested('Test statistic z', row.score.z)
  await choose(driver, 'How the sample is given', 'readings typed here')
  await paste(driver, 'Readings', '3 1 4 2 2.5')
  await see(driver, '“2.5” in row 5 is no number of events', '#evidence')
  await paste(driver, 'Readings', '1 0 2 1 1')
  await see(driver, 'The counts of the 5 stretches scatter no more', '#conditions')
  await signAndVerify('Not contradicted')
})

test('two spreads, each from a sample of its own', async () => {
  const row = caseOf<RatioCase>('variance_tests.json', 'two_sample', 'ratio_raw_3')
  await claim('the new line fills just as evenly', 'ratio of variances equal to 1')
  await type(journey.driver, 'Claimed value', row.input.ratio0)
  await see(journey.driver, 'Say what the second source is', 'aside')
  await paste(journey.driver, 'Readings', row.input.data1.join('\n'))
  await untilSaved(journey.driver)
  await choose(journey.driver, 'Sample of the second source', 'begin a new sample')
  await see(journey.driver, 'Second source: Enter at least two readings', 'aside')
  await paste(journey.driver, 'Readings of the second source', row.input.data2.join('\n'))
  await isTested('Test statistic F', row.statistic)
  await isTested('p-value', row.p_two_sided)
  await signAndVerify(Number(row.p_two_sided) <= 0.05 ? 'Contradicted' : 'Not contradicted')
})

test('a median, signed, changed and signed again', async () => {
  await step('a median', async () => {
    const row = caseOf<RankCase>('mean_tests.json', 'rank_tests', 'rank_3')
    await claim(`median of at least ${row.mu0} h`, `median at least ${row.mu0} h`)
    await paste(journey.driver, 'Readings', row.data.join('\n'))
    await isTested('p-value', row.sign_test.p_less)
    await choose(journey.driver, 'Method of the test', 'the signed-rank test')
    await isTested('Test statistic W⁺', row.w_plus)
    await isTested('p-value', row.exact.p_less)
    await signAndVerify(Number(row.exact.p_less) <= 0.05 ? 'Contradicted' : 'Not contradicted')
  })
  await step('what is changed after signing is signed again, and the signed one stays', async () => {
    const { driver } = journey
    await follow(driver, 'Claim')
    await see(driver, 'This finding is signed as it stands.', '#finding')
    await type(driver, 'Claimed value', '0.001')
    await see(driver, 'Signing again replaces signed finding 1, which stays on the record.', '#finding')
    await untilSaved(driver)
    await press(driver, 'Sign the finding')
    await see(driver, 'Signed finding 2', '#finding')
    await follow(driver, 'Signed finding 1')
    await see(driver, 'every figure is the same', 'main')
    await driver.navigate().back()
    await control(driver, 'Claimed value')
    const address = await driver.findElement(By.partialLinkText('Signed finding 2')).getAttribute('href')
    const [, claimId] = /claims\/([^/]+)\//.exec(address!)!
    const signed = await fetch(`${journey.server.address}/api/claims/${claimId}/findings/1`).then((one) =>
      one.text(),
    )
    expect(JSON.parse(signed)).toMatchObject({ kind: 'true-weight-signed-finding', signedBy: 'A. Inspector' })
  })
})
