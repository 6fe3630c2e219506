import path from 'node:path'
import { exportedFunctions, sourcesBelow } from '@tests/document/examples'

// Every exported function of this room shows a call and what comes out of it, to six digits.

const functions = exportedFunctions(__dirname)

/** All that the room exports, by name, so that an example may use what it needs. */
const all: Record<string, unknown> = {}
beforeAll(async () => {
  for (const file of sourcesBelow(__dirname)) Object.assign(all, await import(file))
})

const DIGITS = 6

function rounded(value: unknown): unknown {
  if (typeof value === 'number' && Number.isFinite(value)) return Number(value.toPrecision(DIGITS))
  if (ArrayBuffer.isView(value)) return Array.from(value as Float64Array, rounded)
  if (Array.isArray(value)) return value.map(rounded)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, own]) => [key, rounded(own)]))
}

const evaluated = (code: string): unknown =>
  new Function(...Object.keys(all), `return (${code})`)(...Object.values(all))

test.each(functions.map((one) => [path.relative(__dirname, one.file), one.name, one] as const))(
  '%s: the example of %s gives what it says',
  (_, name, { example }) => {
    expect(example?.call).toMatch(new RegExp(`\\b${name}\\b`))
    expect(rounded(evaluated(example!.call))).toEqual(evaluated(example!.result))
  },
)

test('the functions of the room are found', () => {
  expect(functions.length).toBeGreaterThan(80)
})
