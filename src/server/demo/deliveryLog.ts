import 'server-only'

const ROWS = 200_000
/** Made up, each with how many hours its deliveries take beyond those of the others. */
const DEPOTS = [
  ['Harbour depot', 0],
  ['Mill lane depot', -0.6],
  ['Saltmarsh depot', 0.4],
  ['Hill road depot', 0.2],
  ['Quarry depot', -0.3],
  ['Lighthouse depot', 0.5],
  ['North quay depot', 2.6],
  ['Causeway depot', -0.1],
  ['Peat road depot', 0.3],
  ['Orchard depot', -0.8],
  ['Ferry stage depot', 0.1],
  ['Old kiln depot', -0.4],
] as const
/** The depot in question has few rows: one in so many. */
const SELDOM = 166
const IN_QUESTION = 7
const USUAL = DEPOTS.map((_, at) => at + 1).filter((depot) => depot !== IN_QUESTION)

/** Of the winter that it is of. */
const DAYS = Array.from({ length: 121 }, (_, day) =>
  new Date(Date.UTC(2025, 10, 1 + day)).toISOString().slice(0, 10),
)

/** What each code of the log's depots means. */
export const DEPOT_CODES = DEPOTS.map(([name], at) => `${at + 1} = ${name}`).join('\n')

/** The invented log of a winter's deliveries, as the bytes of a CSV file: the same each time. */
export function deliveryLog(): Uint8Array {
  const random = generator(20_261_103)
  const lines = ['delivery,day,depot,vehicle,sacks,hours,signed']
  for (let row = 1; row <= ROWS; row += 1) {
    const depot = random() < 1 / SELDOM ? IN_QUESTION : USUAL[Math.floor(random() * USUAL.length)]!
    const spread = random() + random() + random() + random() - 2
    const hours = 46 + DEPOTS[depot - 1]![1] + 9 * spread + (random() < 0.01 ? 30 * random() : 0)
    lines.push(
      [
        100_000 + row,
        DAYS[Math.floor((row / ROWS) * 120)],
        depot,
        `van ${1 + Math.floor(random() * 38)}`,
        1 + Math.floor(random() * random() * 60),
        hours.toFixed(1),
        random() < 0.93 ? 'yes' : 'no',
      ].join(','),
    )
  }
  return new TextEncoder().encode(`${lines.join('\n')}\n`)
}

/** A linear congruential generator of numbers from 0 to 1 (Numerical Recipes' constants, from memory). */
function generator(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return state / 2 ** 32
  }
}
