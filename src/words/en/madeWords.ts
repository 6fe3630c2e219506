import type { MadeColumn, MadeKind } from '@/desk/madeColumn'

export const MADE_WORDS: Readonly<Record<MadeKind, string>> = {
  difference: 'less',
  sum: 'plus',
  ratio: 'over',
  'percent-change': 'changed in percent to',
  'percent-cut': 'cut in percent to',
  scaled: 'times a factor',
  density: 'over its density',
  days: 'to, in days,',
  'working-days': 'to, in working days,',
}

/** How a column is made, in a line: "net = gross − tare". */
export function madeWords({ name, kind, first, second, factor, offset, unit }: MadeColumn): string {
  const is = (formula: string) => `${name} = ${formula}`
  switch (kind) {
    case 'difference':
      return is(`${first} − ${second}`)
    case 'sum':
      return is(`${first} + ${second}`)
    case 'ratio':
      return is(`${first} ÷ ${second}`)
    case 'percent-change':
      return is(`100 · (${second} − ${first}) ÷ ${first}, in %`)
    case 'percent-cut':
      return is(`100 · (${first} − ${second}) ÷ ${first}, in %`)
    case 'scaled':
      return `${is(`${first} · ${factor || '1'}${offset.trim() === '' ? '' : ` + ${offset}`}`)}${unit ? `, in ${unit}` : ''}`
    case 'density':
      return `${is(`${first} ÷ ${factor}`)}${unit ? `, in ${unit}` : ''}`
    case 'days':
      return is(`days from ${first} to ${second}`)
    case 'working-days':
      return is(`working days from ${first} to ${second}`)
    default:
      return kind satisfies never
  }
}
