// The attacks on what is stored, each as often as docs/TRUST.md says: `npm run attack`. Takes a quarter of an hour; `npm test` has
// a short one.
import { ensureInstalled, ROOT, run } from './install.mjs'
import { withPostgres } from './postgres.mjs'
import ownTemporaryFolder from './temporary.mjs'

process.chdir(ROOT)
ownTemporaryFolder()
ensureInstalled('all')
process.env.TRUE_WEIGHT_ATTACK = 'whole'
const unit = (...paths) =>
  run('npm', ['run', '--silent', 'unit:all', '--', '--runInBand', '--verbose', ...paths])
unit('tests/attack')
await withPostgres((server) => {
  process.env.TRUE_WEIGHT_TEST_SERVER = server
  unit('tests/attack/cutConnections')
})
run('npm', ['run', '--silent', 'journey', '--', 'attack', 'load'])
