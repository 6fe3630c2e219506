import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { SaxesParser } from 'saxes'
import { exampleCase, SACKS } from '@tests/exampleCase'
import { valueOf } from '@tests/outcome'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { readTemplate } from './docxTemplate'
import { reportFile } from './files'
import { reportOf } from './report'

const STYLES = 'word/styles.xml'
const WORD = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
const THEME = '<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" name="Office"/>'
/** As a program that speaks another language names the heading, under the name that all of them share. */
const HEADING = `<w:style w:type="paragraph" w:styleId="berschrift1"><w:name w:val="heading 1"/><w:rPr><w:color w:val="AA0000"/></w:rPr></w:style>`
const FINDING = `<w:style w:type="paragraph" w:styleId="Reportfinding"><w:name w:val="Report finding"/><w:rPr><w:b/></w:rPr></w:style>`
const styled = (styles: string) => `<w:styles ${WORD}><w:docDefaults/>${styles}</w:styles>`
const fileOf = (parts: Readonly<Record<string, string>>) =>
  zipSync(Object.fromEntries(Object.entries(parts).map(([name, text]) => [name, strToU8(text)])))
const OWN = fileOf({
  [STYLES]: styled(HEADING + FINDING),
  'word/theme/theme1.xml': THEME,
  'word/document.xml': '<w:document/>',
})

async function made(template?: Uint8Array) {
  const report = await reportOf(exampleCase([SACKS]), USUAL_OPTIONS)
  const how = { format: 'docx', root: process.cwd() } as const
  const bytes = await reportFile(report, { ...how, template: template && valueOf(readTemplate(template)) })
  const parts = unzipSync(bytes)
  return (name: string) => (parts[name] ? strFromU8(parts[name]) : '')
}

test('a report takes the styles of a template by their names, and keeps those that it lacks', async () => {
  const [plain, own] = [await made(), await made(OWN)]
  expect(own(STYLES)).toContain(HEADING)
  expect(own(STYLES)).toContain(FINDING)
  expect(own(STYLES)).not.toContain('w:styleId="Heading1"')
  expect(own(STYLES).match(/w:val="Report finding"/g)).toHaveLength(1)
  expect(own(STYLES)).toContain('w:styleId="Reporttext"')
  expect(own('word/document.xml')).toContain('<w:pStyle w:val="berschrift1"/>')
  expect(own('word/document.xml')).not.toContain('"Heading1"')
  expect(plain('word/document.xml')).toContain('<w:pStyle w:val="Heading1"/>')
  const textOf = (xml: string) => xml.replaceAll(/<[^>]*>/g, '')
  expect(textOf(own('word/document.xml'))).toBe(textOf(plain('word/document.xml')))
})

test('a style without anything in it is none, however many there are', async () => {
  const empty = '<w:style w:styleId="x" />'.repeat(50_000)
  const own = await made(fileOf({ [STYLES]: styled(empty + HEADING) }))
  expect(own('word/document.xml')).toContain('<w:pStyle w:val="berschrift1"/>')
  expect(own(STYLES)).toContain('w:styleId="Reportfinding"')
})

test('its theme comes with it, and every part is well-formed', async () => {
  const own = await made(OWN)
  expect(own('word/theme/theme1.xml')).toBe(THEME)
  expect(own('[Content_Types].xml')).toContain('<Override PartName="/word/theme/theme1.xml"')
  expect(own('word/_rels/document.xml.rels')).toContain('Target="theme/theme1.xml"')
  for (const name of [STYLES, 'word/document.xml', '[Content_Types].xml', 'word/_rels/document.xml.rels'])
    expect(() => new SaxesParser().write(own(name)).close()).not.toThrow()
  const without = await made(fileOf({ [STYLES]: styled(FINDING) }))
  expect(without('word/theme/theme1.xml')).toBe('')
  expect(without('[Content_Types].xml')).not.toContain('theme')
  expect(without('word/document.xml')).toContain('<w:pStyle w:val="Heading1"/>')
})

test('a report that was restyled is a template itself', async () => {
  const how = { format: 'docx', root: process.cwd() } as const
  const report = await reportOf(exampleCase([SACKS]), USUAL_OPTIONS)
  const bytes = await reportFile(report, how)
  const again = await reportFile(report, { ...how, template: valueOf(readTemplate(bytes)) })
  expect(unzipSync(again)[STYLES]).toEqual(unzipSync(bytes)[STYLES])
})

test.each<readonly [string, Uint8Array]>([
  ['nothing', new Uint8Array()],
  ['a text', strToU8('no ZIP file')],
  ['a ZIP file without styles', fileOf({ 'word/document.xml': '<w:document/>' })],
  ['styles of another kind', fileOf({ [STYLES]: '<styles></styles>' })],
  ['styles of another version', fileOf({ [STYLES]: '<w:styles xmlns:w="w"></w:styles>' })],
  ['styles without any', fileOf({ [STYLES]: `<w:styles ${WORD}/>` })],
  ['styles that are not well-formed', fileOf({ [STYLES]: styled('<w:style>') })],
  ['styles that declare entities', fileOf({ [STYLES]: `<!DOCTYPE a [<!ENTITY b "c">]>${styled('')}` })],
  ['styles beyond all measure', fileOf({ [STYLES]: styled(' '.repeat(2_000_001)) })],
  [
    'a theme with a picture',
    fileOf({
      [STYLES]: styled(''),
      'word/theme/theme1.xml': '<a:blip xmlns:a="a" xmlns:r="r" r:embed="rId1"/>',
    }),
  ],
])('%s is no template', (_, bytes) => {
  expect(readTemplate(bytes)).toMatchObject({ ok: false, problem: { code: 'template' } })
})
