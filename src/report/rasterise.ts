import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { memoized } from '@/statistics/numeric/memoized'

/** Makes a PNG picture of an SVG one. */
export type Rasterise = (svg: string) => Promise<Uint8Array>

const FONT = 'node_modules/dejavu-fonts-ttf/ttf/DejaVuSansMono.ttf'
const PROGRAM = 'node_modules/@resvg/resvg-wasm/index_bg.wasm'
const SCALE = 2

/** Marks and pictures that come again are drawn once; each takes some tens of kilobytes. */
const MAX_KEPT = 256

let loaded: Promise<Rasterise> | undefined

/** @param root - the folder that node_modules is in */
export const rasteriser = (root: string): Promise<Rasterise> => (loaded ??= load(root))

async function load(root: string): Promise<Rasterise> {
  const { initWasm, Resvg } = await import('@resvg/resvg-wasm')
  await initWasm(await readFile(path.join(root, PROGRAM)))
  const font = {
    fontBuffers: [new Uint8Array(await readFile(path.join(root, FONT)))],
    loadSystemFonts: false,
    defaultFontFamily: 'DejaVu Sans Mono',
    monospaceFamily: 'DejaVu Sans Mono',
  }
  return memoized(MAX_KEPT, async (svg: string) => {
    const drawn = new Resvg(svg, { font, fitTo: { mode: 'zoom', value: SCALE } })
    const png = drawn.render().asPng()
    drawn.free()
    return png
  })
}
