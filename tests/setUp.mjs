import { ensureNewDatabase } from '../scripts/newDatabase.mjs'
import ownTemporaryFolder from '../scripts/temporary.mjs'

/** Before any test of a run: what they make is gone with the run, but for the empty database that they copy. */
export default function setUp() {
  ownTemporaryFolder()
  process.env.TRUE_WEIGHT_NEW_DATABASE = ensureNewDatabase()
}
