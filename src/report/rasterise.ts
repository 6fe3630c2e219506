import { readFile } from 'node:fs/promises'
import path from 'node:path'
import type * as Resvg from '@resvg/resvg-wasm'

/** Makes a PNG picture of an SVG one. */
export type Rasterise = (svg: string) => Promise<Uint8Array>

const FONT = 'node_modules/dejavu-fonts-ttf/ttf/DejaVuSansMono.ttf'
const PROGRAM = 'node_modules/@resvg/resvg-wasm/index_bg.wasm'
const SCALE = 2

let loaded: Promise<typeof Resvg> | undefined

async function load(root: string): Promise<typeof Resvg> {
  const resvg = await import('@resvg/resvg-wasm')
  await resvg.initWasm(await readFile(path.join(root, PROGRAM)))
  return resvg
}

/** @param root - the folder that node_modules is in */
export async function rasteriser(root: string): Promise<Rasterise> {
  loaded ??= load(root)
  const { Resvg } = await loaded
  const fontBuffers = [new Uint8Array(await readFile(path.join(root, FONT)))]
  const font = {
    fontBuffers,
    loadSystemFonts: false,
    defaultFontFamily: 'DejaVu Sans Mono',
    monospaceFamily: 'DejaVu Sans Mono',
  }
  return async (svg) => {
    const drawn = new Resvg(svg, { font, fitTo: { mode: 'zoom', value: SCALE } })
    const png = drawn.render().asPng()
    drawn.free()
    return png
  }
}
