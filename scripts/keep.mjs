// Backs up everything that is stored, or restores it: `npm run backup -- FILE` and `npm run restore -- FILE`.
import path from 'node:path'
import { parseArgs } from 'node:util'
import { loadServerCode } from './bundle.mjs'
import { dataFolder } from './dataFolder.mjs'
import { ensureInstalled, ROOT } from './install.mjs'
import { ensureNewDatabase } from './newDatabase.mjs'
import { checkSettings } from './settings.mjs'

const USAGE = `Usage: npm run backup -- FILE [--data FOLDER | --demo]
       npm run restore -- FILE [--data FOLDER | --demo]

FILE is one ZIP file with everything in it. The data are those of \`npm start\`, or of the folder or
the demo that is named, or of the PostgreSQL server in DATABASE_URL; a server may run meanwhile.`

const [what, ...args] = process.argv.slice(2)
try {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { data: { type: 'string' }, demo: { type: 'boolean', default: false } },
  })
  if (positionals.length !== 1) throw new Error(USAGE)
  checkSettings()
  ensureInstalled()
  process.env.TRUE_WEIGHT_DATA = dataFolder(values)
  process.env.TRUE_WEIGHT_DEMO = '0'
  process.env.TRUE_WEIGHT_NEW_DATABASE = ensureNewDatabase()
  const file = path.resolve(process.env.INIT_CWD ?? '.', positionals[0])
  process.chdir(ROOT)
  const { keep } = await loadServerCode('src/cli/keep.ts')
  console.log(await keep(what, file))
  process.exit(0)
} catch (error) {
  console.error(error.message)
  process.exit(1)
}
