// A temporary folder of a run's own, so that nothing that a run or its children leave behind outlives it, or gets into what the user keeps.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

/** Makes the system's temporary folder, for this process and all that it starts, one that is gone when this process ends. */
export default function ownTemporaryFolder() {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-run-'))
  // Another user may run the database server, and must come through.
  chmodSync(folder, 0o755)
  process.env.TMPDIR = folder
  // Tests and benches write whatever they like: never on a server that the user has named for the application.
  delete process.env.DATABASE_URL
  process.once('exit', () => rmSync(folder, { recursive: true, force: true, maxRetries: 5 }))
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(1))
}
