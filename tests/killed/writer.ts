// Opens the database of a folder, says what is in it, and then writes without end until it is killed: `killed.long.test.ts`.
import { sha256 } from '@/casefile/content'
import { verifyChain } from '@/desk/trail/chain'
import { listClaims } from '@/data/claimRepository'
import { listSamples } from '@/data/sampleRepository'
import { findColumnHeads } from '@/data/sheetRepository'
import { listWholeTrail } from '@/data/trailRepository'
import { findCase } from '@/data/caseRepository'
import { openCase, saveCase } from '@/server/case/changeCase'
import { database } from '@/server/keeping/database'
import { importSheet } from '@/server/sample/importSheet'
import { saveClaim } from '@/server/claim/saveClaim'

const by = 'A. Writer'
const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`)

async function write(): Promise<void> {
  const db = await database()
  const first = await db.query.cases.findFirst()
  const caseId = first?.id ?? (await openCase({ by, now: new Date() })).caseId
  const known = (await findCase(db, caseId))!
  const head = { length: known.trailLength, hash: known.trailHash }
  const { holds } = verifyChain(await listWholeTrail(db, caseId), sha256, head)
  let [claim] = await listClaims(db, caseId)
  const samples = await listSamples(db, caseId)
  const sheets = samples.filter(({ kind }) => kind === 'file')
  const whole = await Promise.all(sheets.map(async ({ id }) => (await findColumnHeads(db, id)).length === 2))
  say({
    opened: {
      notes: known.notes,
      value: claim!.draft.claimedValue,
      sheets: sheets.length,
      areWhole: !whole.includes(false),
      holds,
    },
  })
  for (let count = Number(known.notes || 0) + 1; ; count += 1) {
    const now = new Date()
    await saveCase(caseId, { words: { notes: String(count) }, by }, now)
    say({ notes: count })
    // Counts on by itself: a kill may have come between the notes and the value.
    const value = Number(claim!.draft.claimedValue || 0) + 1
    const draft = { ...claim!.draft, claimedValue: String(value) }
    await saveClaim(claim!.id, { draft, revision: claim!.revision, by }, now)
    say({ value })
    ;[claim] = await listClaims(db, caseId)
    if (count % 5 > 0) continue
    const body = (async function* () {
      yield new TextEncoder().encode(
        `mass,line\n${Array.from({ length: 500 }, (_, at) => `${at}.5,2`).join('\n')}\n`,
      )
    })()
    await importSheet(db, { caseId, fileName: 'log.csv', by, body }, now)
    say({ sheets: sheets.length + 1 })
    sheets.push(samples[0]!)
  }
}

void write()
