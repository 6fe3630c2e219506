import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'

// docs/METHODS.md states every constant that decides, warns or bounds; what only numbers are computed by is none of them.
const ROOMS = [
  'claims',
  ...['inference', 'describe', 'power', 'resampling'].map((name) => `statistics/${name}`),
]
/** Published polynomials, each with its source in the file. */
const POLYNOMIALS = ['statistics/describe/andersonDarling', 'statistics/describe/shapiroWilk']
/** Numbers that formulas are written with; none of them decides anything by itself. */
const OF_FORMULAS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 10, 12, 24, 32, 48, 100, 0.5, 0.25, 0.75, 1.5, 0.375, 0.625]
/** Numbers that something may be compared with and need no name: none, one, two, half. */
const COMPARED = [0, 1, 2, 0.5]
const COMPARISONS = [
  ts.SyntaxKind.LessThanToken,
  ts.SyntaxKind.LessThanEqualsToken,
  ts.SyntaxKind.GreaterThanToken,
  ts.SyntaxKind.GreaterThanEqualsToken,
]
const NAME = /^[A-Z][A-Z0-9_]+$/
const STATED = /^\| `([\w/]+)`: ([A-Z0-9_]+) +\| ([-+0-9.e, ]+?) +\| (.+?) +\|$/gm

type Constant = Readonly<{ name: string; value: string }>
/** A file of the core, by its place without its ending. */
type File = Readonly<{ place: string; source: ts.SourceFile }>

const FILES: readonly File[] = ROOMS.flatMap((room) =>
  readdirSync(path.join('src', room), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => {
      const text = readFileSync(path.join('src', room, file), 'utf8')
      const place = path.join(room, file).replace(/\.ts$/, '')
      return { place, source: ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true) }
    }),
)

/** The number that is written; undefined where it is none, or made of names. */
function numberOf(node: ts.Node): number | undefined {
  if (ts.isNumericLiteral(node)) return Number(node.text)
  if (ts.isPrefixUnaryExpression(node)) {
    const value = numberOf(node.operand)
    return value === undefined ? undefined : -value
  }
  if (!ts.isBinaryExpression(node)) return undefined
  const [left, right] = [numberOf(node.left), numberOf(node.right)]
  if (left === undefined || right === undefined) return undefined
  const { kind } = node.operatorToken
  if (kind === ts.SyntaxKind.MinusToken) return left - right
  return kind === ts.SyntaxKind.AsteriskAsteriskToken ? left ** right : undefined
}

const listOf = (node: ts.Node): readonly number[] | undefined => {
  const values = ts.isArrayLiteralExpression(node) ? node.elements.map(numberOf) : [numberOf(node)]
  return values.every((value) => value !== undefined) ? values : undefined
}

/** Every constant of a file that is a number or a list of some, by its name. */
function constantsOf({ place, source }: File): readonly Constant[] {
  const declared = source.statements.filter(ts.isVariableStatement)
  return declared
    .flatMap(({ declarationList }) => declarationList.declarations)
    .flatMap(({ name, initializer }): readonly Constant[] => {
      const values = initializer && listOf(initializer)
      if (!values) return []
      if (ts.isArrayBindingPattern(name))
        return name.elements.map((element, at) => ({
          name: `${place}: ${element.getText()}`,
          value: String(values[at]),
        }))
      return NAME.test(name.getText())
        ? [{ name: `${place}: ${name.getText()}`, value: values.join(', ') }]
        : []
    })
}

const inOrder = (constants: readonly Constant[]) => constants.toSorted((a, b) => (a.name < b.name ? -1 : 1))

test('docs/METHODS.md has every constant of the core with its value, and no other', () => {
  const stated = [...readFileSync('docs/METHODS.md', 'utf8').matchAll(STATED)].map(
    ([, place, name, value]) => ({
      name: `${place}: ${name}`,
      value: value!.split(', ').map(Number).join(', '),
    }),
  )
  const known = FILES.flatMap(constantsOf)
  expect(known.length).toBeGreaterThan(80)
  expect(inOrder(stated)).toEqual(inOrder(known))
})

/** Numbers of a file that have no name, with where they stand. */
function unnamedIn({ place, source }: File): readonly string[] {
  const found: string[] = []
  const look = (node: ts.Node) => {
    if (ts.isVariableDeclaration(node) && ts.isSourceFile(node.parent.parent.parent) && isConstant(node))
      return
    if (ts.isNumericLiteral(node)) {
      const { parent } = node
      const isCompared = ts.isBinaryExpression(parent) && COMPARISONS.includes(parent.operatorToken.kind)
      if (!(isCompared ? COMPARED : OF_FORMULAS).includes(Number(node.text)))
        found.push(`${place}: ${parent.getText()}`)
    }
    ts.forEachChild(node, look)
  }
  look(source)
  return found
}

const isConstant = ({ name }: ts.VariableDeclaration): boolean =>
  ts.isArrayBindingPattern(name)
    ? name.elements.every((element) => NAME.test(element.getText()))
    : NAME.test(name.getText())

test('every number of the core that decides something has a name', () => {
  expect(FILES.filter(({ place }) => !POLYNOMIALS.includes(place)).flatMap(unnamedIn)).toEqual([])
})
