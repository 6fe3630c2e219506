import { SPECIFICATION_TEMPLATE, writeSpecification } from './writeSpecification'
import { readSpecification } from './specification'

const COLUMNS = [
  { name: 'flue_temp', label: 'Flue temperature' },
  { name: 'mass', label: 'Net mass of a sack' },
  { name: 'length', label: '' },
  { name: 'burn_time', label: 'Burning time of a filling' },
]

function rowsOf(text: string, columns = COLUMNS) {
  const read = readSpecification(text, columns)
  if (!read.ok) throw new Error(read.problem.message)
  return read.value.rows
}
/** The one row of a table, with the header that is given. */
function only(head: string, row: string) {
  const [found, ...more] = rowsOf(`${head}\n${row}`)
  expect(more).toEqual([])
  return found!
}
const claimOf = (head: string, row: string) => {
  const found = only(head, row)
  if (!found.ok) throw new Error(found.problem.message)
  return found.claim
}
const whyNot = (head: string, row: string) => {
  const found = only(head, row)
  return found.ok ? 'read' : `${found.problem.path}: ${found.problem.message}`
}
const HEAD = 'characteristic;relation;value;tolerance;unit'

test('the template reads as what it shows', () => {
  expect(rowsOf(SPECIFICATION_TEMPLATE)).toMatchObject([
    {
      line: 2,
      ok: true,
      matched: 'stated',
      claim: { column: 'mass', claimedValue: '15', unit: 'kg', relation: 'at-least' },
    },
    {
      line: 3,
      ok: true,
      matched: 'named',
      claim: { column: 'length', relation: 'within', toleranceBelow: '1.5', burden: 'challenge' },
    },
  ])
})

test.each([
  ['≥', 'at-least'],
  ['<=', 'at-most'],
  ['max.', 'at-most'],
  ['No less than', 'at-least'],
  ['not more than', 'at-most'],
  ['more than', 'more-than'],
  ['<', 'less-than'],
  ['equal to', 'equal-to'],
  ['=', 'equal-to'],
  ['between', 'within'],
])('the relation “%s” is %s', (relation, is) => {
  expect(claimOf(HEAD, `length;${relation};15;${is === 'within' ? '1' : ''};mm`).relation).toBe(is)
})

test.each([
  ['0.5', '0.5', '0.5'],
  ['±0.5', '0.5', '0.5'],
  ['+0.3/-0.2', '0.2', '0.3'],
  ['−0.2 / +0.3', '0.2', '0.3'],
])('the tolerance “%s”, which makes it within', (tolerance, toleranceBelow, toleranceAbove) => {
  expect(claimOf(HEAD, `length;;15;${tolerance};mm`)).toMatchObject({
    relation: 'within',
    toleranceBelow,
    toleranceAbove,
  })
})

test('a range is its middle and half its width, as the decimals written', () => {
  expect(claimOf(HEAD, 'length;;9.9 to 10.2;;mm')).toMatchObject({
    ...{ relation: 'within', claimedValue: '10.05', toleranceBelow: '0.15', toleranceAbove: '0.15' },
  })
  const comma = readSpecification('characteristic\tvalue\nlength\t9,9 – 10,2 mm', COLUMNS)
  expect(comma).toMatchObject({
    value: {
      decimalMark: 'comma',
      rows: [{ claim: { claimedValue: '10,05', unit: 'mm', decimalMark: 'comma' } }],
    },
  })
  expect(whyNot(HEAD, 'length;;10.2 to 9.9;;mm')).toMatch(/^value: .*ends below where it begins/)
  expect(whyNot(HEAD, 'length;at least;9 to 10;;mm')).toMatch(/^value: .*needs one value/)
})

test('units, shares and levels as they stand in a value', () => {
  expect(claimOf(HEAD, 'length;at most;15 mm;;')).toMatchObject({ claimedValue: '15', unit: 'mm' })
  expect(
    claimOf('characteristic;parameter;relation;value;level', 'signed;share;at least;95 %;1 %'),
  ).toMatchObject({
    ...{ parameter: 'proportion', claimedValue: '95 %', significanceLevel: '0.01' },
  })
  expect(
    claimOf('characteristic;parameter;relation;value;unit', 'a sack;net content;at least;15;kg').control,
  ).toBe('net-content')
})

test('what can’t be read is told of by its line, and the rest goes on', () => {
  const rows = rowsOf(
    [
      HEAD,
      'length;about;15;;mm',
      '',
      'mass;at least;15;;kg',
      'mass;at least;15;;kg',
      'x;at least;many;;',
      ';at least;1;;',
      'y;at least;;;',
    ].join('\n'),
  )
  expect(rows.map(({ line, ok }) => [line, ok])).toEqual([
    [2, false],
    [4, true],
    [5, false],
    [6, false],
    [7, false],
    [8, false],
  ])
  const why = rows.map((row) => (row.ok ? '' : row.problem.message))
  expect(why[0]).toContain('“about” is no relation')
  expect(why[2]).toContain('the same as line 4')
  expect(why[3]).toContain('“many” is no value')
  expect(why[4]).toContain('names no characteristic')
  expect(why[5]).toContain('states no value')
})

test.each([
  ['length;;15;5 %;mm', /tolerance: “5 %” is no tolerance/],
  ['length;;1,234;;mm', /value: “1,234”/],
  ['length;at least;15;;mm;more', /cells: It has more cells/],
  ['length;at least;1e999;;mm', /value:/],
  ['length;;15;;mm', /relation: It says no relation/],
])('“%s” is refused', (row, why) => {
  // A point in another row says how numbers are written.
  const rows = rowsOf(`${HEAD}\n${row}\nmass;at least;14.5;;kg`)
  const [first] = rows
  expect(first!.ok ? 'read' : `${first!.problem.path}: ${first!.problem.message}`).toMatch(why)
  expect(rows[1]!.ok).toBe(true)
})

test.each([
  ['method', 'magic', /method: “magic” is no method/],
  ['level', '5', /level: “5” is no level/],
  ['burden', 'mine', /burden: “mine” is no burden/],
  ['parameter', 'mode', /parameter: “mode” is no parameter/],
  ['column', 'width', /column: The sample has no column “width”. It has flue_temp/],
])('an unknown %s is refused', (head, cell, why) => {
  expect(whyNot(`characteristic;relation;value;${head}`, `length;at least;15;${cell}`)).toMatch(why)
})

test('columns are matched by name, else by the words they share, else not at all', () => {
  const matched = (characteristic: string) => {
    const found = only('characteristic;relation;value', `${characteristic};at least;15`)
    return found.ok ? [found.matched, found.claim.column] : found.problem.message
  }
  expect(matched('Flue temp')).toEqual(['named', 'flue_temp'])
  expect(matched('net mass of a sack')).toEqual(['named', 'mass'])
  expect(matched('burning time')).toEqual(['guessed', 'burn_time'])
  expect(matched('voltage')).toEqual(['none', ''])
})

test('a table that is none', () => {
  const whyOf = (text: string) => {
    const read = readSpecification(text, COLUMNS)
    return read.ok ? 'read' : read.problem.message
  }
  expect(whyOf('')).toContain('empty')
  expect(whyOf('length;15')).toContain('no column “characteristic”')
  expect(whyOf('characteristic;value;limit\nx;1;2')).toContain('Two columns of the table are a “value”')
  expect(whyOf(`characteristic,value\n${'x,1\n'.repeat(2001)}`)).toContain('longer than 2,000 rows')
  expect(readSpecification('characteristic;value;relation;note\nlength;1;at least;x', COLUMNS)).toMatchObject(
    {
      value: { unused: ['note'] },
    },
  )
})

test('claims that are written as a table are read as the same again, also what a spreadsheet would run', () => {
  const claims = [
    claimOf(HEAD, 'length;;15;+0.3/-0.2;mm'),
    claimOf(`${HEAD};wording;column;level;burden`, 'mass;less than;15;;kg;=1+1;mass;0.01;challenge'),
    claimOf('characteristic;parameter;relation;value', 'signed;share;at least;95 %'),
  ]
  const text = writeSpecification(claims.map((claim) => ({ ...claim, sampleId: '' })))
  expect(text).toContain("'=1+1")
  expect(text).toContain("'+0.3/-0.2")
  const again = rowsOf(text).map((row) => (row.ok ? row.claim : row.problem.message))
  expect(again).toEqual(claims)
})

test.each([
  ['too long', 'x'.repeat(501)],
  ['half of a character', 'flue \ud800'],
])('a cell that a claim would not keep: %s', (_, cell) => {
  expect(whyNot(HEAD, `${cell};at least;1;;`)).toContain('quantity: A cell of it is longer than the 500')
  expect(claimOf(HEAD, `${'x'.repeat(500)};at least;1;;`).quantity).toHaveLength(500)
})

test.each(['constructor', '__proto__', 'toString'])(
  'a relation that only a program knows: %s',
  (relation) => {
    expect(whyNot(HEAD, `mass;${relation};1;;`)).toContain(`“${relation}” is no relation that is known`)
  },
)
