// Debian's own Python, which has the packages that Debian installs; another one may come first on the path.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

const COMMAND = existsSync('/usr/bin/python3') ? '/usr/bin/python3' : 'python3'

export const PYTHON = {
  command: COMMAND,
  /** Whether it has a package. */
  has: (name) => spawnSync(COMMAND, ['-c', `import ${name}, scipy`]).status === 0,
}
