import { timed } from './timed'
import { readReadings } from '@/intake/reading/readings'

const [count = '100000'] = process.argv.slice(2)

const plain = Array.from({ length: Number(count) }, (_, i) => (14.9 + Math.sin(i * 12.9898) * 0.1).toFixed(3))
const grouped = plain.map((one) => `1,0${one}`)
const rules = [{ rule: 'thousands', text: ',' }] as const
const results = {
  split: timed(() => plain.join('\n').split('\n').map(Number)),
  plain: timed(() => readReadings(plain.join('\n'), { mark: 'point', rules: [] })),
  unread: timed(() => readReadings(grouped.join('\n'), { mark: 'point', rules: [] })),
  said: timed(() => readReadings(grouped.join('\n'), { mark: 'point', rules })),
}
process.stdout.write(`${JSON.stringify(results)}\n`)
