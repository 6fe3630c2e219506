import { readdirSync, readFileSync, statSync } from 'node:fs'
import path from 'node:path'

const SOURCES = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((file) => /(?<!\.test)\.tsx?$/.test(file))
  .map((file) => `src/${file}`)

/** The folders that a file imports from, its own left out. */
function foldersOf(file: string): readonly string[] {
  const imports = readFileSync(file, 'utf8').matchAll(/\bfrom '((?:@\/|\.)[^']+)'/g)
  return [...imports]
    .map(([, name]) =>
      name!.startsWith('@/')
        ? `src/${name!.slice(2)}`
        : path.posix.normalize(path.posix.join(path.posix.dirname(file), name!)),
    )
    .map((target) => path.posix.dirname(target))
    .filter((folder) => folder !== path.posix.dirname(file) && statSync(folder).isDirectory())
}

test('no two folders import from each other', () => {
  const arrows = new Set(
    SOURCES.flatMap((file) => foldersOf(file).map((to) => `${path.posix.dirname(file)} → ${to}`)),
  )
  expect(arrows.size).toBeGreaterThan(100)
  const bothWays = [...arrows].filter((arrow) => arrows.has(arrow.split(' → ').reverse().join(' → ')))
  expect(bothWays).toEqual([])
})

test('no two names differ only in their capitals, which are one name on many a disk', () => {
  const names = SOURCES.map((file) => file.replace(/\.tsx?$/, ''))
  const same = names.filter((name) =>
    names.some((other) => other !== name && other.toLowerCase() === name.toLowerCase()),
  )
  expect(same).toEqual([])
})
