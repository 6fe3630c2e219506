// Makes the database that each new data folder begins with a copy of, where there is none yet for the tables of today.
import { createHash } from 'node:crypto'
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs'
import path from 'node:path'
import { loadServerCode } from './bundle.mjs'
import { ROOT, run } from './install.mjs'

const DIST = path.join(ROOT, 'dist')
const NAME = 'new-database-'
const MIGRATIONS = path.join(ROOT, 'src/data/migrations')
const ENGINE = path.join(ROOT, 'node_modules/@electric-sql/pglite/package.json')

/** @returns the folder it is in, for TRUE_WEIGHT_NEW_DATABASE */
export function ensureNewDatabase() {
  const place = path.join(DIST, `${NAME}${fingerprint()}`)
  // In a process of its own: it takes 400 MB more than a server that only opens one.
  if (!existsSync(place)) run(process.execPath, [import.meta.filename, place])
  return place
}

function fingerprint() {
  const tables = readdirSync(MIGRATIONS).filter((name) => name.endsWith('.sql'))
  const hash = createHash('sha256')
  for (const file of [ENGINE, ...tables.sort().map((name) => path.join(MIGRATIONS, name))])
    hash.update(readFileSync(file))
  return hash.digest('hex').slice(0, 16)
}

async function make(place) {
  mkdirSync(DIST, { recursive: true })
  const own = mkdtempSync(path.join(DIST, 'making-'))
  try {
    const { openFolder } = await loadServerCode('src/data/pglite.ts')
    const database = await openFolder(path.join(own, 'data'))
    await database.close()
    const others = readdirSync(DIST).filter((name) => name.startsWith(NAME) && name !== path.basename(place))
    for (const name of others) rmSync(path.join(DIST, name), { recursive: true, force: true })
    const made = path.join(own, 'data/postgres')
    openToReaders(made)
    // Another command may have made it meanwhile.
    if (!existsSync(place)) renameSync(made, place)
  } finally {
    rmSync(own, { recursive: true, force: true })
  }
}

/** There is nothing in it yet, and whoever serves need not be who built. */
function openToReaders(folder) {
  chmodSync(folder, 0o755)
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const inside = path.join(folder, entry.name)
    if (entry.isDirectory()) openToReaders(inside)
    else chmodSync(inside, 0o644)
  }
}

if (process.argv[1] === import.meta.filename) await make(process.argv[2])
