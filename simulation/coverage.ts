import { METHOD_WORDS } from '@/words/en/methods'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { POPULATIONS, uniformDraws } from './populations'
import { sampleOf, SIMULATED, type Simulated } from './procedures'
import { GROUP_COLUMNS, groupLevels, type GroupRow } from './groups'
import { type HonestyCell, honesty, misses } from './honesty'
import { EXPECTED, rateCoverage, rateLevels, type RateRow } from './rates'
import { SHARE_COLUMNS, shareCoverage, shareLevels, type ShareRow } from './shares'

const SEED = 20_260_101
const BEYOND = 0.05

type Cell = Readonly<{ coverage?: number; level?: number }>

/** The report: how often intervals at 95 % hold the truth, and tests at 5 % reject what is true. */
export function coverageReport(onProgress: (line: string) => void): string {
  const measured = SIMULATED.map((simulated) => {
    onProgress(`${simulated.parameter}, ${simulated.method}`)
    return {
      simulated,
      rows: simulated.sizes.map((n) => ({ n, cells: POPULATIONS.map((_, at) => cellFor(simulated, n, at)) })),
    }
  })
  const heads = ['Parameter', 'Method', 'n', ...POPULATIONS.map(({ name }) => name)]
  const table = (of: (cell: Cell) => number | undefined) =>
    tableOf(
      heads,
      measured.flatMap(({ simulated, rows }) =>
        rows.map(({ n, cells }) => [
          PARAMETER_WORDS[simulated.parameter].noun,
          METHOD_WORDS[simulated.method].name,
          String(n),
          ...cells.map((cell) => percent(of(cell))),
        ]),
      ),
    )
  return text({
    coverage: table(({ coverage }) => coverage),
    levels: table(({ level }) => level),
    shareCoverage: shareTable('Interval', shareCoverage()),
    shareLevels: shareTable('Test', shareLevels()),
    rateCoverage: rateTable('Interval', rateCoverage()),
    rateLevels: rateTable('Test', rateLevels()),
    groupLevels: groupTable(groupLevels(onProgress)),
    honesty: honesty(SEED, onProgress).map(honestyText).join('\n\n'),
  })
}

/** The share of repetitions in which the interval held the truth, and in which the test rejected it. */
function cellFor(simulated: Simulated, n: number, populationIndex: number): Cell {
  const population = POPULATIONS[populationIndex]!
  const truth = simulated.truth(population)
  const value = population.drawFrom(uniformDraws(SEED + 1000 * n + populationIndex))
  const draw = (size: number) => sampleOf(Array.from({ length: size }, value))
  let [held, rejected, answered, withInterval] = [0, 0, 0, 0]
  for (let repetition = 0; repetition < simulated.repetitions; repetition += 1) {
    const procedure = simulated.procedure(draw, n, SEED + repetition, truth)
    if (!procedure.ok) continue
    answered += 1
    const { test, interval } = procedure.value
    const { pValue = 0 } = test({ value: truth, alternative: 'two-sided', significanceLevel: BEYOND })
    if (pValue <= BEYOND) rejected += 1
    if (!interval) continue
    withInterval += 1
    if (interval.holds(interval.endsAt({ beyond: BEYOND, sides: 'two-sided' }), truth)) held += 1
  }
  return {
    ...(answered > 0 ? { level: rejected / answered } : {}),
    ...(withInterval > 0 ? { coverage: held / withInterval } : {}),
  }
}

function shareTable(head: string, rows: readonly ShareRow[]): string {
  return tableOf(
    [head, 'n', ...SHARE_COLUMNS.map((share) => `share ${percent(share, 0)}`)],
    rows.map(({ name, n, values }) => [name, String(n), ...values.map((value) => percent(value))]),
  )
}

function rateTable(head: string, rows: readonly RateRow[]): string {
  return tableOf(
    [head, ...EXPECTED.map((mean) => `${mean} expected`)],
    rows.map(({ name, values }) => [name, ...values.map((value) => percent(value))]),
  )
}

export const GROUPS_HEAD = `## Level of 5 % tests, two-sided, of readings not taken one by one, and of items by their readings

Each beside the test that knows nothing of it. 4,000 samples a cell, which leaves about ±0.7 percentage points; of items 1,000, which leaves ±1.4.`

export function groupTable(rows: readonly GroupRow[]): string {
  return tableOf(
    ['Taken as', 'Test', ...GROUP_COLUMNS],
    rows.map(({ cells, values }) => [...cells, ...values.map((value) => percent(value))]),
  )
}

function honestyText({ path, cells }: ReturnType<typeof honesty>[number]): string {
  const heads = [
    'Source',
    'n',
    'Claimed',
    'Contradicted',
    'Shape met',
    'All met',
    'Risk stated',
    'Contradicted then',
  ]
  const row = (cell: HonestyCell) => [
    cell.source,
    String(cell.n),
    cell.relation === 'at-least' ? 'at least' : 'at most',
    percent(cell.rate),
    percent(cell.shapeMet),
    percent(cell.allMet),
    percent(cell.stated),
    percent(cell.rateStated),
  ]
  const missing = (name: string, is: 'shapeMet' | 'allMet') => {
    const missed = misses(cells, is)
    const named = missed.map(
      ({ source, n, relation, rate, [is]: said }) =>
        `${source}, n = ${n}, ${relation}: contradicted in ${percent(rate)}, said to be met in ${percent(said)}`,
    )
    return missed.length === 0
      ? `No cell misses for ${name}.`
      : `Cells that miss for ${name}: ${named.join('; ')}.`
  }
  return [
    `### ${path}`,
    tableOf(heads, cells.map(row)),
    missing('the shape', 'shapeMet'),
    missing('all conditions', 'allMet'),
  ].join('\n\n')
}

function percent(share: number | undefined, decimals = 1): string {
  return share === undefined ? '–' : `${(share * 100).toFixed(decimals)} %`
}

function tableOf(heads: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return [line(heads), line(heads.map(() => '---')), ...rows.map(line)].join('\n')
}

function text(
  tables: Readonly<{
    coverage: string
    levels: string
    shareCoverage: string
    shareLevels: string
    rateCoverage: string
    rateLevels: string
    groupLevels: string
    honesty: string
  }>,
): string {
  return `# How often the intervals and the tests are right

Made by \`npm run simulate\`, seed ${SEED}: samples are drawn from a population whose truth is known, and every method is
asked, as in a check. Repetitions: 20,000 a cell, which leaves about ±0.3 percentage points, but for bootstraps and
signed-rank 2,000, which leaves about ±1. The populations all have mean 0 and standard deviation 1. Figures for shares and rates are
not simulated: they are sums over every outcome.

A good 95 % interval holds the truth in 95 % of samples; a good 5 % test rejects what is true in 5 % of samples, or fewer.

## What it means for the auditor

- **Mean.** The t test keeps its level for normal, uniform and heavy-tailed populations, and at 30 readings bears a skewed
  one nearly (7 to 8 % instead of 5 %), at 100 a very skewed one (6 %). Of few skewed readings it rejects twice as often
  as it says. The bootstrap's test keeps its level there down to 15 readings; its interval is too narrow for fewer than
  about 30, whatever the population.
- **Spread.** The chi-square interval is right for a normal population only. For heavy tails or skewed populations it
  misses the truth far more often than it says, **and a larger sample makes that worse, not better**. Bonett's is right
  for normal and uniform populations and much better for the others, though not at its level: of 100 very skewed readings it
  misses 14 % instead of 5 %. The bootstrap is better than chi-square for skewed populations, and worse than Bonett's.
- **Two spreads.** The F test is right for normal populations only, in the same way. Brown and Forsythe's keeps its level
  for all of these; Levene's does not for skewed ones.
- **Median.** The sign test holds its level for every shape, being exact, and is stricter than it says. The signed-rank
  test rests on symmetry: for skewed populations it tests another centre than the median, and of 100 readings rejects a
  true median in a third of samples. The bootstrap's interval is a little narrow for ten readings, and near its level
  from 30 on.
- **Share.** Clopper-Pearson never falls below its level, and is wider for it. Wilson's is near it on average, and dips
  below for rare shares (92 % at worst here). Wald's falls far below for few units or rare shares: it should not carry a
  finding. The exact tests never exceed their level; the score test and mid-p may.
- **Rate.** Garwood's interval never falls below its level, and is wider for it where few events are expected; the interval of the score test dips below. The exact
  tests never exceed their level; the score test and mid-p may. All of it holds of events that come singly at one rate.
- **Readings not taken one by one.** The t test by clusters keeps its level whatever part of the variance lies between clusters; the plain t test
  rejects what is true in 15 to 33 % of samples where they differ. Of five skewed clusters it rejects 7 to 10 %. A lot sampled in layers is tested rightly by layers only; with a lot of which a large part was
  taken, the plain test is stricter than it says, and with an error that all readings share it rejects three times as often.
- **Items by their readings.** Counting keeps its level for every shape. The normal test of a share is right for a normal population only, **and a larger sample makes that worse**: of 100 skewed
  items it nearly always rejects a true share.
- **What the page says of its conditions.** The last tables. “Met” needs many readings; of few, the page says that they show no sign against a condition, and of the
  risk “as far as so few readings tell”. Of few skewed readings, and of some that bear on one another though it is stated that they do not, the risk is higher than
  it tells: nothing in so few readings shows it.

## Coverage of 95 % intervals, measurements

${tables.coverage}

## Level of 5 % tests, two-sided, measurements

${tables.levels}

## Coverage of 95 % intervals, shares

${tables.shareCoverage}

## Level of 5 % tests, two-sided, shares

${tables.shareLevels}

## Coverage of 95 % intervals, rates

${tables.rateCoverage}

## Level of 5 % tests, two-sided, rates

${tables.rateLevels}

${GROUPS_HEAD}

${tables.groupLevels}

## What the page says of its conditions, and how often a claim that just holds is contradicted

Claims that just hold, at a level of 5 %, by the usual test; stated to be drawn at random and one by one, truly or not, since whoever states nothing is told of no risk.
“Shape met” and “All met” are how often the page says so; “Risk stated”, how often no condition is open, so that it says how often its rule goes wrong; the last column, how
often the claim is contradicted then. A cell misses where “met” is said in more than 5 % of samples and the claim contradicted in more than 7.5 %, or where
it is said in half of them and the claim contradicted in more than 6 % by more than chance. A share, a median and a rate are tested exactly, and need no table.

${tables.honesty}
`
}
