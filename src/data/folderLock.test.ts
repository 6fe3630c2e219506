import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { hostname, tmpdir } from 'node:os'
import path from 'node:path'
import { lockFolder } from './folderLock'

const newFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-lock-'))
const lockFile = (folder: string) => path.join(folder, 'in-use.json')
const holder = { token: 'a', pid: process.pid, host: hostname(), born: '', since: '2026-11-03T10:42:00.000Z' }

/** The start of a process, from the system itself: field 22 of its stat file. */
const bornOf = (pid: number) =>
  readFileSync(`/proc/${pid}/stat`, 'utf8')
    .replace(/^.*\) /s, '')
    .split(' ')[19]!

test('a folder that is held is refused, and the holder is named', async () => {
  const folder = newFolder()
  await lockFolder(folder)
  await expect(lockFolder(folder)).rejects.toThrow(`in use by process ${process.pid} on ${hostname()}`)
})

test.each([
  ['whose process is gone', { pid: 4_194_303 }],
  ['whose number now belongs to a later process', { pid: process.ppid, born: '1' }],
])('a lock %s is taken over', async (_, stale) => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), JSON.stringify({ ...holder, ...stale }))
  await lockFolder(folder)
  expect(JSON.parse(readFileSync(lockFile(folder), 'utf8'))).toMatchObject({ pid: process.pid })
})

test.each([
  ['of a process that lives', { pid: process.ppid, born: bornOf(process.ppid) }],
  ['of another machine', { pid: 4_194_303, host: 'elsewhere.example' }],
])('a lock %s is respected', async (_, live) => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), JSON.stringify({ ...holder, ...live }))
  await expect(lockFolder(folder)).rejects.toThrow(`process ${live.pid}`)
})

test('a lock file that cannot be read is respected', async () => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), '{"pid"')
  await expect(lockFolder(folder)).rejects.toThrow('does not name readably')
})

test('of several that find a stale lock at once, one at most gets the folder', async () => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), JSON.stringify({ ...holder, pid: 4_194_303 }))
  const tries = await Promise.allSettled(Array.from({ length: 5 }, () => lockFolder(folder)))
  expect(tries.filter(({ status }) => status === 'fulfilled')).toHaveLength(1)
})
