import { mkdtempSync, readdirSync, readFileSync, utimesSync, writeFileSync } from 'node:fs'
import { hostname, tmpdir } from 'node:os'
import path from 'node:path'
import { lockFolder } from './folderLock'

const quietly = { say: () => {}, onLost: () => {} }
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
  await lockFolder(folder, quietly)
  await expect(lockFolder(folder, quietly)).rejects.toThrow(
    `in use by process ${process.pid} on ${hostname()}`,
  )
})

test.each([
  ['whose process is gone', { pid: 4_194_303 }],
  ['whose number now belongs to a later process', { pid: process.ppid, born: '1' }],
])('a lock %s is taken over', async (_, stale) => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), JSON.stringify({ ...holder, ...stale }))
  await lockFolder(folder, quietly)
  expect(JSON.parse(readFileSync(lockFile(folder), 'utf8'))).toMatchObject({ pid: process.pid })
})

test('a lock of a process that lives is respected', async () => {
  const folder = newFolder()
  writeFileSync(
    lockFile(folder),
    JSON.stringify({ ...holder, pid: process.ppid, born: bornOf(process.ppid) }),
  )
  await expect(lockFolder(folder, quietly)).rejects.toThrow(`process ${process.ppid}`)
})

const elsewhere = { ...holder, host: 'elsewhere.example', space: 'another kernel', pid: 4_194_303 }

test('a lock of another machine is respected while that says that it lives', async () => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), JSON.stringify(elsewhere))
  const beat = setTimeout(() => utimesSync(lockFile(folder), new Date(), new Date(Date.now() + 5000)), 300)
  await expect(lockFolder(folder, { ...quietly, silentMs: 3000 })).rejects.toThrow('elsewhere.example')
  clearTimeout(beat)
})

test.each([
  ['of another machine, or of this one by another name,', JSON.stringify(elsewhere)],
  ['that cannot be read', '{"pid"'],
  ['that is empty', ''],
])('a lock %s is taken over, with a word, once nothing is heard of its holder', async (_, text) => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), text)
  const said: string[] = []
  await lockFolder(folder, { ...quietly, say: (words) => said.push(words), silentMs: 400 })
  expect(said.join(' ')).toMatch(/waiting up to 1 s .* taken over/)
  expect(JSON.parse(readFileSync(lockFile(folder), 'utf8'))).toMatchObject({ pid: process.pid })
  // One that has long been silent is not waited for.
  const long = newFolder()
  writeFileSync(lockFile(long), text)
  const hourAgo = new Date(Date.now() - 3_600_000)
  utimesSync(lockFile(long), hourAgo, hourAgo)
  const begun = Date.now()
  await lockFolder(long, quietly)
  expect(Date.now() - begun).toBeLessThan(10_000)
})

test('a machine that goes by another name knows its own processes', async () => {
  const folder = newFolder()
  await lockFolder(folder, quietly)
  const own = JSON.parse(readFileSync(lockFile(folder), 'utf8'))
  writeFileSync(lockFile(folder), JSON.stringify({ ...own, host: 'renamed.example' }))
  await expect(lockFolder(folder, quietly)).rejects.toThrow(`process ${process.pid} on renamed.example`)
  writeFileSync(lockFile(folder), JSON.stringify({ ...own, host: 'renamed.example', pid: 4_194_303 }))
  await lockFolder(folder, quietly)
  expect(JSON.parse(readFileSync(lockFile(folder), 'utf8'))).toMatchObject({ host: hostname() })
})

test('a holder finds out that another took the folder while it did not answer', async () => {
  const folder = newFolder()
  const lost = new Promise<void>((resolve) => {
    void lockFolder(folder, { ...quietly, onLost: resolve }).then(() =>
      writeFileSync(lockFile(folder), JSON.stringify({ ...holder, token: 'another' })),
    )
  })
  await lost
  expect(JSON.parse(readFileSync(lockFile(folder), 'utf8'))).toMatchObject({ token: 'another' })
}, 20_000)

test('nothing but the lock is left beside the data', async () => {
  const folder = newFolder()
  const release = await lockFolder(folder, quietly)
  expect(readdirSync(folder)).toEqual(['in-use.json'])
  await expect(lockFolder(folder, quietly)).rejects.toThrow()
  expect(readdirSync(folder)).toEqual(['in-use.json'])
  release()
  expect(readdirSync(folder)).toEqual([])
})

test('of several that find a stale lock at once, one at most gets the folder', async () => {
  const folder = newFolder()
  writeFileSync(lockFile(folder), JSON.stringify({ ...holder, pid: 4_194_303 }))
  const tries = await Promise.allSettled(Array.from({ length: 5 }, () => lockFolder(folder, quietly)))
  expect(tries.filter(({ status }) => status === 'fulfilled')).toHaveLength(1)
})
