/** What somebody sends who wants to see something break. */

type Random = () => number

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!

const deep = (levels: number): unknown => (levels === 0 ? 1 : [deep(levels - 1)])

const VALUES: readonly unknown[] = [
  ...[
    null,
    true,
    false,
    0,
    -1,
    1.5,
    1e308,
    -1e-320,
    2 ** 53,
    '',
    ' ',
    '\0',
    '\ud800',
    '😀',
    '0x10',
    '１２',
    'NaN',
  ],
  ...[
    'x'.repeat(100_000),
    '9'.repeat(5000),
    '../../etc/passwd',
    '<script>1</script>',
    "'; drop table cases; --",
  ],
  ...[
    [],
    {},
    [[]],
    [null],
    { __proto__: null },
    { constructor: 1 },
    { then: 1 },
    deep(60),
    Array(2000).fill('1'),
  ],
]

/** The value with one thing in it replaced, left out or put in. */
export function mutated(random: Random, value: unknown): unknown {
  const isHolder = typeof value === 'object' && value !== null
  if (!isHolder || random() < 0.12) return pick(random, VALUES)
  if (Array.isArray(value)) {
    const at = Math.floor(random() * (value.length + 1))
    if (random() < 0.2) return [...value.slice(0, at), pick(random, VALUES), ...value.slice(at)]
    return value.map((one, index) => (index === at ? mutated(random, one) : one))
  }
  const keys = Object.keys(value)
  const key = pick(random, [...keys, 'more'])
  const { [key]: known, ...rest } = value as Readonly<Record<string, unknown>>
  return random() < 0.15 ? rest : { ...rest, [key]: mutated(random, known) }
}

/** The text with bytes of it changed, cut off, doubled or put in. */
export function mangled(random: Random, bytes: Uint8Array): Uint8Array {
  const at = Math.floor(random() * bytes.length)
  const length = Math.floor(random() ** 3 * Math.min(bytes.length, 2000)) + 1
  const [before, part, after] = [
    bytes.subarray(0, at),
    bytes.subarray(at, at + length),
    bytes.subarray(at + length),
  ]
  switch (Math.floor(random() * 6)) {
    case 0:
      return before
    case 1:
      return Buffer.concat([before, after])
    case 2:
      return Buffer.concat([before, part, part, after])
    case 3:
      return Buffer.concat([before, Buffer.from(pick(random, TEXTS)), after])
    case 4:
      return Buffer.concat([before, Buffer.from(part.map(() => Math.floor(random() * 256))), after])
    default: {
      const changed = Uint8Array.from(bytes)
      for (let count = 0; count <= random() * 20; count += 1)
        changed[Math.floor(random() * changed.length)] = Math.floor(random() * 256)
      return changed
    }
  }
}

const TEXTS: readonly string[] = [
  ...[
    '"',
    '""',
    ',',
    ';',
    '\t',
    '\n',
    '\r',
    '\r\n',
    '\0',
    '\ufeff',
    '\u2028',
    '\u00a0',
    '=1+1',
    '1,5',
    '1.234,5',
    '-',
  ],
  ...[
    '9'.repeat(400),
    '1e999',
    'NaN',
    '"'.repeat(999),
    ','.repeat(9999),
    '\n'.repeat(9999),
    '<a>',
    '</row>',
    ']]>',
    '&#0;',
  ],
]

/** The address with one thing in it that is not as it has to be. */
export function misled(random: Random, address: string): string {
  const [path, query = ''] = address.split('?')
  const parts = path!.split('/')
  const at = 1 + Math.floor(random() * (parts.length - 1))
  const wrong = [
    'x',
    '%00',
    '%ff',
    '..%2f..',
    '0190163d-8694-739b-aea5-966c26f8ad91',
    'A'.repeat(3000),
    '%F0%9F%98%80',
    "'",
  ]
  const names = [
    'page',
    'text',
    'format',
    'parts',
    'decimals',
    'numbers',
    'name',
    'rows',
    'order',
    'more',
    '__proto__',
  ]
  const values = [
    '',
    '-1',
    '1e9',
    '0x10',
    '%00',
    '99999999999999999999',
    'x'.repeat(4000),
    'constructor',
    '[object]',
    '%ED%A0%80',
  ]
  if (random() < 0.4)
    return `${parts.map((part, index) => (index === at ? pick(random, wrong) : part)).join('/')}?${query}`
  return `${path}?${query}&${pick(random, names)}=${pick(random, values)}`
}
