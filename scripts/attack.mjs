// The attacks on what is stored, each as often as docs/TRUST.md says: `npm run attack`. Takes a quarter of an hour; `npm test` has
// a short one.
import { ensureInstalled, ROOT, run } from './install.mjs'
import ownTemporaryFolder from './temporary.mjs'

process.chdir(ROOT)
ownTemporaryFolder()
ensureInstalled()
process.env.TRUE_WEIGHT_ATTACK = 'whole'
run('npm', ['run', '--silent', 'unit:all', '--', '--runInBand', '--verbose', 'tests/attack'])
run('npm', ['run', '--silent', 'journey', '--', 'attack', 'load'])
