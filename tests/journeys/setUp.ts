import { rmSync } from 'node:fs'
import path from 'node:path'
import ownTemporaryFolder from '../../scripts/temporary.mjs'
import { kill, serve } from './server'

/** Fills one data folder with the demo, which the journeys through it begin with a copy of. */
export default async function setUp(): Promise<void> {
  ownTemporaryFolder()
  const filled = await serve(['--demo'])
  await kill(filled)
  rmSync(path.join(filled.data, 'in-use.json'), { force: true })
  process.env.TRUE_WEIGHT_TEST_DEMO = filled.data
}
