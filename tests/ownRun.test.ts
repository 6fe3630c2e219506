import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import path from 'node:path'

test('a run of tests or benches has a temporary folder of its own, and never the user’s database', () => {
  const program = `
    const { default: own } = await import('./scripts/temporary.mjs')
    own()
    console.log(JSON.stringify([process.env.TMPDIR, process.env.DATABASE_URL ?? 'none']))`
  const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', program], {
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: 'postgres://office.example/true_weight' },
  })
  const [folder, database] = JSON.parse(stdout)
  expect(path.basename(folder)).toMatch(/^true-weight-run-/)
  expect(existsSync(folder)).toBe(false)
  expect(database).toBe('none')
})

// npm says in the environment what it took: without a word to the bench, all others would be run in place of those left out.
test('a bench is not run without an option that npm took for its own', () => {
  const run = (...args: readonly string[]) =>
    spawnSync('npm', ['run', '--silent', 'bench:tiny', ...args], { encoding: 'utf8' })
  expect(run('--but', 'none-such')).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('npm took --but for an option of its own. Write it behind --'),
  })
  expect(run('--', '--but', 'none-such')).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('There is no bench “none-such”'),
  })
})
