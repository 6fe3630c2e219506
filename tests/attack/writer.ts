// Opens the database of a folder, says what is in it, and then writes without end until it is killed, or has been refused three times.
import { sha256 } from '@/casefile/content'
import type { Outcome } from '@/claims/terms/outcome'
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
  let refusals = 0
  /** Makes a change, and tells what is confirmed of it; where the disk is full also what is read then. */
  const change = async (line: object, make: () => Promise<Outcome<unknown>>) => {
    const begun = Date.now()
    const outcome = await make()
    if (outcome.ok) return say(line)
    const ms = Date.now() - begun
    if (outcome.problem.code !== 'disk-full') throw new Error(outcome.problem.message)
    say({ refused: outcome.problem.message, ms })
    say({ read: Number((await findCase(db, caseId))!.notes || 0) })
    refusals += 1
    if (refusals === 3) process.exit(0)
  }
  for (;;) {
    const now = new Date()
    // Each counts on by itself: a kill may have come between the notes and the value.
    const notes = Number((await findCase(db, caseId))!.notes || 0) + 1
    await change({ notes }, () => saveCase(caseId, { words: { notes: String(notes) }, by }, now))
    ;[claim] = await listClaims(db, caseId)
    const { id, draft, revision } = claim!
    const value = Number(draft.claimedValue || 0) + 1
    await change({ value }, () =>
      saveClaim(id, { draft: { ...draft, claimedValue: String(value) }, revision, by }, now),
    )
    if (notes % 5 > 0) continue
    const body = (async function* () {
      yield new TextEncoder().encode(
        `mass,line\n${Array.from({ length: 500 }, (_, at) => `${at}.5,2`).join('\n')}\n`,
      )
    })()
    const brought = (await listSamples(db, caseId)).filter(({ kind }) => kind === 'file').length + 1
    await change({ sheets: brought }, () => importSheet(db, { caseId, fileName: 'log.csv', by, body }, now))
  }
}

write().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
})
