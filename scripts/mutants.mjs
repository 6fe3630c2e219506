// Changes one token of the core at a time and sees whether a test fails: `npm run mutants`.
// A survivor that docs/MUTANTS.md does not name ends it with 1.
import { spawn } from 'node:child_process'
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { ensureInstalled, ROOT } from './install.mjs'

const { values: options } = parseArgs({
  options: {
    count: { type: 'string', default: '200' },
    seed: { type: 'string', default: '1' },
    only: { type: 'string', default: '' },
    workers: { type: 'string', default: '2' },
  },
})

/** The rooms whose code is changed, and whose tests are run. */
const ROOMS = ['statistics', 'claims', 'intake', 'pictures', 'desk', 'words', 'answers']
/** Rooms whose tests see what is carried on into them. */
const SEEING = ['report', 'features']
/** Says nothing of one figure, and takes as long as all the others. */
const LEFT_OUT = /\.long\.test/
const NOT_SEEING = `/node_modules/|${LEFT_OUT.source}|src/(?!${[...ROOMS, ...SEEING].join('|')})`
const KNOWN = path.join(ROOT, 'docs/MUTANTS.md')
const COPIES = path.join(ROOT, 'build/mutants')
/** What takes so many times as long as all the tests before any change never ends. */
const PATIENCE = 3

ensureInstalled('all')
const { default: ts } = await import('typescript')

const BINARY = new Map([
  ['PlusToken', '-'],
  ['MinusToken', '+'],
  ['AsteriskToken', '/'],
  ['SlashToken', '*'],
  ['AsteriskAsteriskToken', '*'],
  ['LessThanToken', '<='],
  ['LessThanEqualsToken', '<'],
  ['GreaterThanToken', '>='],
  ['GreaterThanEqualsToken', '>'],
  ['EqualsEqualsEqualsToken', '!=='],
  ['ExclamationEqualsEqualsToken', '==='],
  ['AmpersandAmpersandToken', '||'],
  ['BarBarToken', '&&'],
  ['QuestionQuestionToken', '&&'],
])
const NAMES = new Map([
  ['min', 'max'],
  ['max', 'min'],
  ['floor', 'ceil'],
  ['ceil', 'floor'],
  ['lower', 'upper'],
  ['upper', 'lower'],
  ['first', 'second'],
  ['every', 'some'],
  ['some', 'every'],
])

/** Every change of one token that a file allows: where, what stands there, and what is put in its place. */
function mutationsOf(file) {
  const text = readFileSync(path.join(ROOT, file), 'utf8')
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const found = []
  const add = (node, other) => found.push({ file, at: node.getStart(), end: node.getEnd(), other })
  const visit = (node) => {
    // Types say nothing at run time.
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return
    if (ts.isImportDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const other = BINARY.get(ts.SyntaxKind[node.operatorToken.kind])
      if (other) add(node.operatorToken, other)
    } else if (ts.isNumericLiteral(node)) {
      add(node, node.text === '0' ? '1' : node.text === '1' ? '2' : `(${node.text} + 1)`)
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false')
    else if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true')
    else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      found.push({ file, at: node.getStart(), end: node.getStart() + 1, other: '' })
    else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.MinusToken)
      found.push({ file, at: node.getStart(), end: node.getStart() + 1, other: '+' })
    else if (ts.isPropertyAccessExpression(node) && NAMES.has(node.name.text))
      add(node.name, NAMES.get(node.name.text))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found.map((one) => {
    const { line } = source.getLineAndCharacterOfPosition(one.at)
    const whole = text.split('\n')[line].trim()
    return { ...one, line: line + 1, was: text.slice(one.at, one.end), whole }
  })
}

/** A sequence of numbers from 0 to 1 that a seed gives again: mulberry32, common practice. */
function draws(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

const filesIn = (room) =>
  readdirSync(path.join(ROOT, 'src', room), { recursive: true, encoding: 'utf8' }).map((file) =>
    path.posix.join('src', room, file),
  )
const all = ROOMS.flatMap(filesIn)
const tests = [...all, ...SEEING.flatMap(filesIn)].filter(
  (file) => file.endsWith('.test.ts') && !LEFT_OUT.test(file),
)
const sources = all.filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && file.includes(options.only),
)

/** A copy of the checkout of its own for each worker, so that the sources themselves are never changed. */
function copyFor(worker) {
  const folder = path.join(COPIES, String(worker))
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  for (const name of [
    'src',
    'tests',
    'docs',
    'scripts',
    'package.json',
    'tsconfig.json',
    'jest.config.mjs',
    'next.config.ts',
  ])
    cpSync(path.join(ROOT, name), path.join(folder, name), { recursive: true })
  symlinkSync(path.join(ROOT, 'node_modules'), path.join(folder, 'node_modules'))
  return folder
}

let limit

/** Whether the tests of a copy that are asked for pass; a test that never ends has noticed too. */
function passes(folder, asked, stdio = 'ignore') {
  return new Promise((resolve) => {
    const jest = path.join(ROOT, 'node_modules/.bin/jest')
    const args = ['--bail', '--silent', '--maxWorkers=1', '--passWithNoTests', ...asked]
    const child = spawn(process.execPath, ['--experimental-vm-modules', jest, ...args], {
      cwd: folder,
      stdio,
    })
    const timer = limit && setTimeout(() => child.kill('SIGKILL'), limit)
    child.on('exit', (status) => {
      clearTimeout(timer)
      resolve(status === 0)
    })
  })
}

async function survives(folder, { file, at, end, other }) {
  const text = readFileSync(path.join(ROOT, file), 'utf8')
  writeFileSync(path.join(folder, file), text.slice(0, at) + other + text.slice(end))
  const near = tests.filter((test) => path.dirname(test) === path.dirname(file))
  const isAlive =
    (near.length === 0 || (await passes(folder, ['--runTestsByPath', ...near]))) &&
    (await passes(folder, ['--findRelatedTests', file, `--testPathIgnorePatterns=${NOT_SEEING}`]))
  writeFileSync(path.join(folder, file), text)
  return isAlive
}

const nameOf = ({ file, line, was, other, whole }) =>
  `\`${file}\` line ${line}, \`${was}\` to \`${other}\`: \`${whole}\``
/** Lines move: a survivor is known by its file, its change and the line's own text. */
const keyOf = ({ file, was, other, whole }) => `\`${file}\` \`${was}\` → \`${other}\` in \`${whole}\``

const draw = draws(Number(options.seed))
const pool = sources.flatMap(mutationsOf).map((mutation) => ({ mutation, rank: draw() }))
const sample = pool
  .toSorted((one, other) => one.rank - other.rank)
  .slice(0, Number(options.count))
  .map(({ mutation }) => mutation)
console.log(`${sample.length} of ${pool.length} changes in ${sources.length} files, seed ${options.seed}`)

const unharmed = copyFor(0)
const started = Date.now()
if (!(await passes(unharmed, ['--runTestsByPath', ...tests], 'inherit'))) {
  console.error('The tests fail before anything is changed.')
  process.exit(1)
}

limit = PATIENCE * (Date.now() - started)

const survivors = []
let [next, done] = [0, 0]
await Promise.all(
  Array.from({ length: Number(options.workers) }, async (_, worker) => {
    const folder = copyFor(worker)
    while (next < sample.length) {
      const mutation = sample[next]
      next += 1
      if (await survives(folder, mutation)) {
        survivors.push(mutation)
        console.log(`survives: ${nameOf(mutation)}`)
      }
      done += 1
      if (done % 20 === 0) console.log(`${done} tried, ${survivors.length} survive`)
    }
  }),
)
rmSync(COPIES, { recursive: true, force: true })

const known = readFileSync(KNOWN, 'utf8')
const unknown = survivors.filter((mutation) => !known.includes(keyOf(mutation)))
console.log(`\n${sample.length - survivors.length} of ${sample.length} were noticed.`)
for (const mutation of unknown) console.log(`- ${keyOf(mutation)}`)
if (unknown.length > 0) console.log(`These are not in docs/MUTANTS.md: test them, or say there why not.`)
process.exit(unknown.length === 0 ? 0 : 1)
