import type { ClaimDraft } from '@/desk/claimDraft'
import { isControlled } from '@/desk/claimDraft'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { RELATION_WORDS } from '@/words/en/relations'
import { harmlessCell } from '../sheet/csvText'
import { SPECIFICATION_HEADS } from './specification'

type Row = Readonly<Record<(typeof SPECIFICATION_HEADS)[number], string>>

const csvOf = (rows: readonly Row[]): string =>
  [SPECIFICATION_HEADS, ...rows.map((row) => SPECIFICATION_HEADS.map((head) => row[head]))]
    .map((cells) => `${cells.map(harmlessCell).join(',')}\r\n`)
    .join('')

/** Claims as a specification, which can be brought in again: CSV (RFC 4180), its cells harmless to spreadsheets. */
export const writeSpecification = (claims: readonly ClaimDraft[]): string => csvOf(claims.map(rowOf))

function rowOf(draft: ClaimDraft): Row {
  const { quantity, parameter, relation, claimedValue, toleranceBelow: below, toleranceAbove: above } = draft
  const { unit, column, significanceLevel: level, method, burden, wording } = draft
  const hasTolerance = below.trim() !== '' && above.trim() !== ''
  return {
    ...{ characteristic: quantity, value: claimedValue, unit, column, level, wording },
    parameter: isControlled(draft) ? 'net content' : PARAMETER_WORDS[parameter].noun,
    relation: RELATION_WORDS[relation],
    tolerance: hasTolerance ? (below === above ? below : `+${above}/-${below}`) : '',
    method: method === 'auto' ? '' : method,
    burden: burden ?? '',
  }
}

/** An empty table with its header and two rows that show how it is filled in. */
export const SPECIFICATION_TEMPLATE: string = csvOf([
  {
    ...{ characteristic: 'net mass', parameter: 'mean', relation: 'at least', value: '15', tolerance: '' },
    ...{ unit: 'kg', column: 'mass', level: '0.05', method: '', burden: '', wording: '15 kg net' },
  },
  {
    ...{ characteristic: 'length', parameter: 'mean', relation: 'within', value: '240', tolerance: '1.5' },
    ...{ unit: 'mm', column: '', level: '', method: '', burden: 'stands unless contradicted', wording: '' },
  },
])
