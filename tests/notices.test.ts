import { readFileSync } from 'node:fs'
import path from 'node:path'
import { dependencies } from '../package.json'

const ROOT = path.resolve(__dirname, '..')

const plain = (text: string) => text.replace(/\s+/g, ' ').trim()
const notices = plain(readFileSync(path.join(ROOT, 'NOTICES.md'), 'utf8'))

const packages = Object.keys(dependencies).filter((name) => /fonts|^katex$/.test(name))

test('the packages that ship fonts are known', () => {
  expect(packages.length).toBeGreaterThanOrEqual(5)
})

test.each(packages)('the licence of %s is given in full', (name) => {
  expect(notices).toContain(`\`${name}\``)
  expect(notices).toContain(plain(readFileSync(path.join(ROOT, 'node_modules', name, 'LICENSE'), 'utf8')))
})
