import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'

// docs/METHODS.md states every constant that decides, warns or bounds; what only numbers are computed by is none of them.
const ROOMS = [
  'claims',
  ...['inference', 'describe', 'power', 'resampling'].map((name) => `statistics/${name}`),
]

const ONE = /^(?:export )?const ([A-Z][A-Z0-9_]+)(?:: [^=]+)? = (-?[0-9_.]+(?:e[+-]?\d+)?)$/gm
const SEVERAL = /^(?:export )?const \[([A-Z0-9_, ]+)\] = \[(-?[0-9_.e+-]+(?:, -?[0-9_.e+-]+)*)\]/gm
const STATED = /^\| `([\w/]+)`: ([A-Z0-9_]+) +\| ([-0-9.e]+) +\| (.+?) +\|$/gm

type Constant = Readonly<{ name: string; value: number }>

function constantsIn(room: string): readonly Constant[] {
  const files = readdirSync(path.join('src', room), { recursive: true, encoding: 'utf8' })
  return files
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .flatMap((file) => {
      const text = readFileSync(path.join('src', room, file), 'utf8')
      const place = path.join(room, file).replace(/\.ts$/, '')
      const several = [...text.matchAll(SEVERAL)].flatMap(([, names, values]) =>
        names!.split(', ').map((name, at) => [name, values!.split(', ')[at]!] as const),
      )
      const one = [...text.matchAll(ONE)].map(([, name, value]) => [name!, value!] as const)
      return [...one, ...several].map(([name, value]) => ({
        name: `${place}: ${name}`,
        value: Number(value.replaceAll('_', '')),
      }))
    })
}

const inOrder = (constants: readonly Constant[]) => constants.toSorted((a, b) => (a.name < b.name ? -1 : 1))

test('docs/METHODS.md has every constant of the core with its value, and no other', () => {
  const stated = [...readFileSync('docs/METHODS.md', 'utf8').matchAll(STATED)].map(
    ([, place, name, value]) => ({
      name: `${place}: ${name}`,
      value: Number(value),
    }),
  )
  const known = ROOMS.flatMap(constantsIn)
  expect(known.length).toBeGreaterThan(60)
  expect(inOrder(stated)).toEqual(inOrder(known))
})
