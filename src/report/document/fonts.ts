import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { trueTypeOf } from './woff'

/** A font file of a web page, and the characters that it is for. */
export type WebFont = Readonly<{ family: string; weight: number; unicodeRange: string; base64: string }>

export type Face = 'sans' | 'bold' | 'serif' | 'title' | 'mono'

const FACES: Readonly<Record<Face, Readonly<{ name: string; family: string; weight: number }>>> = {
  sans: { name: 'ibm-plex-sans', family: 'IBM Plex Sans', weight: 400 },
  bold: { name: 'ibm-plex-sans', family: 'IBM Plex Sans', weight: 600 },
  serif: { name: 'source-serif-4', family: 'Source Serif 4', weight: 400 },
  title: { name: 'source-serif-4', family: 'Source Serif 4', weight: 600 },
  mono: { name: 'ibm-plex-mono', family: 'IBM Plex Mono', weight: 400 },
}
const FACE_NAMES = Object.keys(FACES) as Face[]

/** The files that each face comes in, and the fonts that have what it has not: mathematical signs above all. */
const SUBSETS = ['latin', 'latin-ext', 'greek', 'cyrillic'] as const
const OTHERS: Readonly<Record<Face, string>> = {
  sans: 'DejaVuSans',
  bold: 'DejaVuSans-Bold',
  serif: 'DejaVuSerif',
  title: 'DejaVuSerif-Bold',
  mono: 'DejaVuSansMono',
}
export type FontFile = Readonly<{ key: string; bytes: Buffer }>

/**
 * The fonts of each face for print, the first choice first.
 *
 * @param root - the folder that node_modules is in
 */
export function printFonts(root: string): Promise<Readonly<Record<Face, readonly FontFile[]>>> {
  const known = read.get(root) ?? readPrintFonts(root)
  read.set(root, known)
  return known
}

/** They do not change while the program runs. */
const read = new Map<string, ReturnType<typeof readPrintFonts>>()

async function readPrintFonts(root: string): Promise<Readonly<Record<Face, readonly FontFile[]>>> {
  const faces = await Promise.all(
    FACE_NAMES.map(async (face) => {
      const own = await subsetsOf(root, face, 'woff')
      const other = await readFile(fileIn(root, 'node_modules/dejavu-fonts-ttf/ttf', `${OTHERS[face]}.ttf`))
      const files = own.map(({ subset, bytes }) => ({ key: `${face}-${subset}`, bytes: trueTypeOf(bytes) }))
      return [face, [...files, { key: OTHERS[face], bytes: other }]] as const
    }),
  )
  return Object.fromEntries<readonly FontFile[]>(faces) as Record<Face, readonly FontFile[]>
}

/** The fonts that a web page carries in itself. */
export async function webFonts(root: string): Promise<readonly WebFont[]> {
  const fonts: WebFont[] = []
  for (const face of FACE_NAMES) {
    const { name, family, weight } = FACES[face]
    const list = fileIn(root, 'node_modules/@fontsource', name, 'unicode.json')
    const ranges = JSON.parse(await readFile(list, 'utf8')) as Record<string, string>
    for (const { subset, bytes } of await subsetsOf(root, face, 'woff2'))
      fonts.push({ family, weight, unicodeRange: ranges[subset]!, base64: bytes.toString('base64') })
  }
  return fonts
}

/** The files of a face, for each of the subsets that it has. */
async function subsetsOf(
  root: string,
  face: Face,
  kind: 'woff' | 'woff2',
): Promise<readonly Readonly<{ subset: string; bytes: Buffer }>[]> {
  const { name, weight } = FACES[face]
  const folder = fileIn(root, 'node_modules/@fontsource', name, 'files')
  const found = await Promise.all(
    SUBSETS.map(async (subset) => {
      try {
        return [
          { subset, bytes: await readFile(path.join(folder, `${name}-${subset}-${weight}-normal.${kind}`)) },
        ]
      } catch (error) {
        // IBM Plex Mono has no Greek of its own.
        if ((error as NodeJS.ErrnoException).code === 'ENOENT') return []
        throw error
      }
    }),
  )
  return found.flat()
}

/** How a report looks, on the page that shows it and in a file of its own. */
export function reportCss(root: string): Promise<string> {
  return readFile(fileIn(root, 'src/ui/report.css'), 'utf8')
}

/** The build, not told otherwise, looks through all folders for what could be meant, which takes it a minute. */
function fileIn(root: string, ...names: readonly string[]): string {
  return path.join(/* turbopackIgnore: true */ root, ...names)
}
