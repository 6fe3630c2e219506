import { openTestDatabase } from '@tests/database'
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Database } from '@/data/client'
import { readWorkbook } from '@/intake/workbook/workbook'
import { openCase } from '../case/changeCase'
import { exportWorkbook } from './exportWorkbook'
import { importSheet } from './importSheet'

const CALC = '/usr/bin/localc'
const now = new Date('2026-11-05T08:00:00Z')
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-workbook-'))
const LOG = 'day,mass,note\n2026-01-14,14.1,"a, b"\n2026-01-15,,=1+1\n2026-01-16,0.1,<b>\n'

let bytes = new Uint8Array()
beforeAll(async () => {
  const db = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(db)
  const { caseId } = await openCase({ by: '', now })
  const body = (async function* () {
    yield new TextEncoder().encode(LOG)
  })()
  const brought = await importSheet(db, { caseId, fileName: 'log.csv', by: '', body }, now)
  if (!brought.ok || brought.value.is !== 'brought-in') throw new Error('not brought in')
  const made = await exportWorkbook(brought.value.sampleId)
  if (!made.ok) throw new Error(made.problem.message)
  expect(made.value.name).toBe('log.xlsx')
  bytes = new Uint8Array(made.value.bytes)
})
afterAll(async () => (await kept.trueWeightDatabase)?.close())

test('a workbook that is brought in again has the same cells', async () => {
  const read = await readWorkbook(bytes)
  if (!read.ok || !read.value.csv.ok) throw new Error('not read')
  expect(new TextDecoder().decode(read.value.csv.value)).toBe(LOG)
  expect(read.value.sheets).toEqual(['Sheet', 'Columns', 'Set aside'])
})

const whereInstalled = existsSync(CALC) ? test : test.skip
whereInstalled(
  'LibreOffice opens it, and runs nothing',
  () => {
    writeFileSync(path.join(folder, 'log.xlsx'), bytes)
    const profile = `-env:UserInstallation=file://${folder}/profile`
    const args = [
      profile,
      '--headless',
      '--convert-to',
      'csv',
      '--outdir',
      folder,
      path.join(folder, 'log.xlsx'),
    ]
    expect(spawnSync(CALC, args, { timeout: 120_000 }).status).toBe(0)
    expect(readFileSync(path.join(folder, 'log.csv'), 'utf8')).toBe(LOG)
  },
  150_000,
)
