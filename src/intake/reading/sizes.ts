import type { DecimalMark } from '@/desk/typed'
import { readNumber } from './number'

type Layer = Readonly<{ name: string; units: number }>

/**
 * Sizes of the layers of a lot, each stated as “north = 400”; empty ones are passed over.
 *
 * @returns in their order; or what is wrong with the first that is none
 */
export function readSizes(
  texts: readonly string[],
  decimalMark: DecimalMark,
): Readonly<{ ok: true; layers: readonly Layer[] } | { ok: false; message: string }> {
  const sizes = new Map<string, number>()
  for (const text of texts.filter((one) => one.trim() !== '')) {
    const at = text.lastIndexOf('=')
    const [name, size] = [text.slice(0, Math.max(0, at)).trim(), readNumber(text.slice(at + 1), decimalMark)]
    if (name === '' || !size.ok || !Number.isInteger(size.value) || size.value < 1) {
      const message = `“${text.trim().slice(0, 60)}” is no size of a layer. Write its name and how many units it has, such as north = 400.`
      return { ok: false, message }
    }
    if (sizes.has(name)) return { ok: false, message: `“${name}” has two sizes. Keep the right one.` }
    sizes.set(name, size.value)
  }
  return { ok: true, layers: [...sizes].map(([name, units]) => ({ name, units })) }
}
