// What answers checks as one script whose compiled form can be kept, and other commands as modules that it asks for.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { renameSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { bundle } from './bundle.mjs'
import { BUNDLE, COMPILED, compile, MARK_LENGTH } from './loadCli.mjs'

/** What the compiled form is made of: what most checks go through is compiled with it. */
const USUAL = JSON.stringify({
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  evidence: { kind: 'readings', values: [14.9, 15.1, 14.8, 15, 14.7] },
})

/** Commands that take far more than a check, and are modules by themselves. */
const APART = ['report', 'verify']

/** @returns the files, that which names the others last */
export async function bundleCli({ external }) {
  const asked = new Map()
  const asksFor = {
    name: 'asked for where wanted',
    setup(build) {
      build.onResolve({ filter: /^[@.]/ }, async ({ path: wanted, kind, importer, resolveDir }) => {
        if (kind !== 'dynamic-import') return undefined
        const found = await build.resolve(wanted, { importer, resolveDir, kind: 'import-statement' })
        const { name } = path.parse(found.path)
        if (!APART.includes(name)) return undefined
        asked.set(name, found.path)
        return { path: `./${name}.mjs`, external: true }
      })
    },
  }
  const main = await bundle('src/cli/main.ts', BUNDLE, {
    external,
    format: 'cjs',
    minifyWhitespace: true,
    plugins: [asksFor],
    write: false,
  })
  const others = await bundle(Object.fromEntries(asked), undefined, {
    external,
    outdir: path.dirname(BUNDLE),
    outExtension: { '.js': '.mjs' },
    splitting: true,
    write: false,
  })
  const script = main.outputFiles[0].text.replaceAll('import("./', 'ask("./')
  return [...others.outputFiles, { path: BUNDLE, contents: marked(script) }]
}

/** The script as a function, behind what tells its compiled form from that of another. */
function marked(script) {
  const mark = createHash('sha256').update(script).digest('hex').slice(0, MARK_LENGTH)
  return `/*${mark}*/(function(exports,require,module,ask){${script}\n})`
}

/** Keeps the compiled form of the bundle, made by a command of its own that answers a check. */
export function keepCompiled() {
  const program = `import { keep } from ${JSON.stringify(new URL(import.meta.url).href)}; await keep()`
  spawnSync(process.execPath, ['--input-type=module', '-e', program], {
    input: USUAL,
    stdio: ['pipe', 'ignore', 'ignore'],
  })
}

/** In that command. */
export async function keep() {
  const { script, mark, main } = compile()
  await main(['check'])
  const unfinished = `${COMPILED}.${process.pid}`
  writeFileSync(unfinished, Buffer.concat([Buffer.from(mark, 'latin1'), script.createCachedData()]))
  renameSync(unfinished, COMPILED)
}
