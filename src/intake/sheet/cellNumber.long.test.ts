import { cellNumber } from './cellNumber'

test('a million numbers are read exactly as the language reads them', () => {
  let state = 12345
  const random = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32
  const scratch = new Uint8Array(64)
  for (let i = 0; i < 1_000_000; i += 1) {
    const digits = 1 + Math.floor(random() * 20)
    let text = random() < 0.2 ? '-' : ''
    for (let d = 0; d < digits; d += 1) text += Math.floor(random() * 10)
    const decimals = Math.floor(random() * digits)
    if (decimals > 0) text = `${text.slice(0, -decimals)}.${text.slice(-decimals)}`
    if (random() < 0.1) text += `e${Math.floor(random() * 600) - 300}`
    for (let at = 0; at < text.length; at += 1) scratch[at] = text.charCodeAt(at)
    const value = cellNumber(scratch, 0, text.length, 0x2e)
    if (value !== Number(text)) throw new Error(`${text} is read as ${value}`)
  }
})
