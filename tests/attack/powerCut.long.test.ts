import { cpSync, existsSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { amcheck } from '@electric-sql/pglite/contrib/amcheck'
import { heldTo, makeWriter, NOTHING, randomFrom, times, writerOn } from './writing'

const CUTS = times(30, 5)
const CUTS_IN_MAKING = times(10, 2)
/** Operations that change something: about twenty are one confirmed write. */
const MOST = 600
/** Of those in which the tables are made. */
const MOST_IN_MAKING = 4000

const random = randomFrom(20261128)
const newFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-cut-'))

beforeAll(makeWriter)

/** Every heap and every index of a copy of the folder's tables is as PostgreSQL's own checks want it. */
async function expectSound(folder: string): Promise<void> {
  const copy = path.join(newFolder(), 'postgres')
  cpSync(path.join(folder, 'postgres'), copy, { recursive: true })
  const tables = await PGlite.create({ dataDir: copy, extensions: { amcheck } })
  await tables.exec('create extension if not exists amcheck')
  const { rows } = await tables.query<{ problems: number; indexes: number }>(`
    with mine as (select c.oid, c.relkind from pg_class c join pg_namespace n on n.oid = c.relnamespace
      where n.nspname in ('public', 'drizzle', 'pg_catalog', 'pg_toast'))
    select (select count(*)::int from mine, lateral verify_heapam(mine.oid::regclass) where relkind in ('r', 't')) as problems,
      (select count(*)::int from (select bt_index_check(mine.oid, true) from mine join pg_index i on i.indexrelid = mine.oid
        join pg_class c on c.oid = mine.oid join pg_am a on a.oid = c.relam and a.amname = 'btree') checked) as indexes`)
  expect(rows[0]!.problems).toBe(0)
  expect(rows[0]!.indexes).toBeGreaterThan(100)
  await tables.close()
}

test(`nothing that was confirmed is lost when the power is cut ${CUTS} times`, async () => {
  const folder = newFolder()
  let confirmed = NOTHING
  let writes = 0
  for (let cut = 0; cut < CUTS; cut += 1) {
    const { lines, signal } = await writerOn(folder, {
      faults: {
        seed: cut,
        armed: 'once-it-speaks',
        cutAfter: 1 + Math.floor(random() * MOST),
        // Some disks have written some of it all the same, in any order.
        keeps: [0, 0.5, 0.9][cut % 3],
      },
    })
    expect(signal).toBe('SIGKILL')
    confirmed = heldTo(confirmed, lines)
    writes += lines.length - 1
    if (cut % 6 === 4) await expectSound(folder)
  }
  expect(writes).toBeGreaterThan(CUTS)
}, 600_000)

test('a cut while the tables are made is no end of the folder', async () => {
  const folder = newFolder()
  let made = 0
  for (let cut = 0; cut < CUTS_IN_MAKING; cut += 1) {
    const faults = {
      seed: cut,
      armed: 'at-once',
      cutAfter: 1 + Math.floor(random() * MOST_IN_MAKING),
      keeps: 0.5,
    }
    const { lines } = await writerOn(folder, { faults })
    made += lines.length > 0 ? 1 : 0
    expect(existsSync(folder)).toBe(true)
  }
  const { lines } = await writerOn(folder, { onLine: ({ notes }, kill) => notes !== undefined && kill() })
  expect(lines[0]!.opened).toMatchObject({ holds: true })
  expect(made).toBeLessThan(CUTS_IN_MAKING)
}, 300_000)
