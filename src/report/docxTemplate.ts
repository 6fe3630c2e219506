import { strFromU8, strToU8, unzipSync } from 'fflate'
import { SaxesParser } from 'saxes'
import type { DocxTemplate } from '@/desk/office'
import { failure, type Outcome, success } from '@/claims/terms/outcome'

const [STYLES, THEME] = ['word/styles.xml', 'word/theme/theme1.xml'] as const
/** Letters of either: what office programs write has some tens of thousands. */
const MAX_LETTERS = 2_000_000
const WORDPROCESSING = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"'
const RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'
const END_OF_STYLES = '</w:styles>'
const [STYLE, END_OF_STYLE] = ['<w:style ', '</w:style>'] as const

/**
 * What a report takes of an office's own DOCX or DOTX file: its styles, and the fonts and colours of its theme.
 *
 * @returns the problem `template` where it is no such file
 */
export function readTemplate(bytes: Uint8Array): Outcome<DocxTemplate> {
  const wanted: readonly string[] = [STYLES, THEME]
  try {
    const parts = unzipSync(bytes, {
      filter: ({ name, originalSize }) => wanted.includes(name) && originalSize <= MAX_LETTERS,
    })
    const [styles, theme] = [STYLES, THEME].map((name) => parts[name] && strFromU8(parts[name]))
    if (!styles?.includes(WORDPROCESSING) || !styles.includes(END_OF_STYLES))
      return refused('it has no styles that can be read')
    for (const text of [styles, theme ?? '<none/>']) checkXml(text)
    if (theme && /:(?:embed|link)=/.test(theme)) return refused('its theme has pictures')
    return success({ styles, theme: theme ?? '' })
  } catch (error) {
    return refused(error instanceof Error ? error.message : String(error))
  }
}

const refused = (why: string): Outcome<never> =>
  failure({
    code: 'template',
    path: '',
    message: `This is no template that a report can take its styles from: ${why}. Give a file that was saved as DOCX or DOTX.`,
  })

/** @throws where a text is no well-formed XML, or declares what it is made of itself */
function checkXml(text: string): void {
  const parser = new SaxesParser()
  parser.on('doctype', () => {
    throw new Error('it has a document type of its own')
  })
  parser.on('error', (error) => {
    throw error
  })
  parser.write(text).close()
}

type Style = Readonly<{ id: string; name: string; xml: string }>

const stylesIn = (xml: string): readonly Style[] =>
  xml
    .split(END_OF_STYLE)
    .slice(0, -1)
    .map((before) => `${before.slice(before.lastIndexOf(STYLE))}${END_OF_STYLE}`)
    .map((style) => ({
      id: /w:styleId="([^"]*)"/.exec(style)?.[1] ?? '',
      name: (/<w:name\s+w:val="([^"]*)"/.exec(style)?.[1] ?? '').toLowerCase(),
      xml: style,
    }))
    .filter(({ name }) => name !== '')

/**
 * The parts of a DOCX file with the styles of a template: those of the same name look as the template has them, the others as
 * they did.
 */
export function withTemplate(
  parts: Readonly<Record<string, Uint8Array>>,
  { styles, theme }: DocxTemplate,
): Readonly<Record<string, Uint8Array>> {
  const theirs = new Map(stylesIn(styles).map((style) => [style.name, style.id]))
  const own = stylesIn(strFromU8(parts[STYLES]!))
  const missing = own.filter(({ name }) => !theirs.has(name))
  const renamed = new Map(own.map(({ id, name }) => [id, theirs.get(name) ?? id]))
  const referring = (xml: string) =>
    xml.replace(
      /(<w:(?:pStyle|rStyle|basedOn|next|link)\s+w:val=")([^"]*)"/g,
      (_, before: string, id: string) => `${before}${renamed.get(id) ?? id}"`,
    )
  const added = referring(missing.map(({ xml }) => xml).join(''))
  const changed: Record<string, string> = {
    [STYLES]: styles.replace(END_OF_STYLES, () => `${added}${END_OF_STYLES}`),
  }
  for (const [name, bytes] of Object.entries(parts))
    if (/^word\/(document|(?:foot|head)er\d+|numbering)\.xml$/.test(name))
      changed[name] = referring(strFromU8(bytes))
  if (theme !== '') {
    const into = (name: string, end: string, line: string) => {
      changed[name] = strFromU8(parts[name]!).replace(end, () => `${line}${end}`)
    }
    changed[THEME] = theme
    into(
      'word/_rels/document.xml.rels',
      '</Relationships>',
      `<Relationship Id="rIdTheme" Type="${RELATIONS}/theme" Target="theme/theme1.xml"/>`,
    )
    into(
      '[Content_Types].xml',
      '</Types>',
      `<Override PartName="/${THEME}" ContentType="application/vnd.openxmlformats-officedocument.theme+xml"/>`,
    )
  }
  return {
    ...parts,
    ...Object.fromEntries(Object.entries(changed).map(([name, text]) => [name, strToU8(text)])),
  }
}
