// Builds the application, the command line and an empty database, each only where its sources changed since it was built.
import { createHash } from 'node:crypto'
import { cpSync, existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { buildCli } from './buildCli.mjs'
import { ensureInstalled, ROOT, run } from './install.mjs'
import { ensureNewDatabase } from './newDatabase.mjs'

const STAMP = path.join(ROOT, '.next/standalone/built-from')
export const SERVER = path.join(ROOT, '.next/standalone/server.js')
const INPUTS = ['src', 'next.config.ts', 'package-lock.json', 'tsconfig.json']

export async function build() {
  ensureInstalled()
  await buildCli()
  ensureNewDatabase()
  const sources = fingerprint()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === sources) return
  console.error('Building the application, which takes about a minute …')
  run('npx', ['--no-install', 'next', 'build'], { NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' })
  cpSync(path.join(ROOT, '.next/static'), path.join(ROOT, '.next/standalone/.next/static'), {
    recursive: true,
  })
  writeFileSync(STAMP, sources)
}

function fingerprint() {
  const hash = createHash('sha256')
  for (const file of INPUTS.flatMap(filesOf)) hash.update(file).update(readFileSync(path.join(ROOT, file)))
  return hash.digest('hex')
}

function filesOf(entry) {
  if (!statSync(path.join(ROOT, entry)).isDirectory()) return [entry]
  return readdirSync(path.join(ROOT, entry), { recursive: true, withFileTypes: true })
    .filter((file) => file.isFile() && !file.name.includes('.test.'))
    .map((file) => path.relative(ROOT, path.join(file.parentPath, file.name)))
    .sort()
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) await build()
