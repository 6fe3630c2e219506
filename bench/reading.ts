import type { ReadRule } from '@/desk/sampleDraft'
import { timed } from './timed'
import { readReadings } from '@/intake/reading/readings'

const [count = '100000'] = process.argv.slice(2)

const plain = Array.from({ length: Number(count) }, (_, i) => (14.9 + Math.sin(i * 12.9898) * 0.1).toFixed(3))
const grouped = plain.map((one) => `1,0${one}`)
const rules = [{ rule: 'thousands', text: ',' }] as const
/** Each time as a text that begins otherwise: of one that begins alike, what was read before is known. */
let begun = 0
const anew = (readings: readonly string[], rules: readonly ReadRule[] = []) =>
  readReadings([(begun = 1 - begun), ...readings].join('\n'), { mark: 'point', rules })

const results = {
  split: timed(() => plain.join('\n').split('\n').map(Number)),
  plain: timed(() => anew(plain)),
  unread: timed(() => anew(grouped)),
  said: timed(() => anew(grouped, rules)),
}
process.stdout.write(`${JSON.stringify(results)}\n`)
