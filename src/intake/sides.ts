import {
  CONTENT_UNITS,
  type ContentUnit,
  isVolume,
  type MassUnit,
  usualMassUnit,
} from '@/claims/terms/contentUnits'
import { type ClaimDraft, isControlled, takesTwo } from '@/desk/claimDraft'
import { ofSecond } from './takenFrom'

/** A unit of mass or volume as it is typed: "15 kg", "litre". */
const SPELLED: ReadonlyMap<string, ContentUnit> = new Map(
  Object.entries({
    ...Object.fromEntries(CONTENT_UNITS.map((unit) => [unit.toLowerCase(), unit])),
    ...{
      gram: 'g',
      grams: 'g',
      kilogram: 'kg',
      kilograms: 'kg',
      litre: 'L',
      litres: 'L',
      liter: 'L',
      liters: 'L',
    },
    ...{ millilitre: 'mL', millilitres: 'mL', milliliter: 'mL', milliliters: 'mL' },
  } as const satisfies Readonly<Record<string, ContentUnit>>),
)

/** The unit that a label states, where it is one of mass or volume. */
export function contentUnitOf({ unit }: Pick<ClaimDraft, 'unit'>): ContentUnit | undefined {
  const typed = unit.trim()
  // Of Mg and ML nobody can tell whether a million is meant, or a thousandth.
  return (
    CONTENT_UNITS.find((one) => one === typed) ??
    (/^M[gGlL]$/.test(typed) ? undefined : SPELLED.get(typed.toLowerCase()))
  )
}

/** The unit that packs are weighed in where a volume is found by a density; undefined where none is. */
export function weighedIn(draft: Pick<ClaimDraft, 'unit' | 'density'>): MassUnit | undefined {
  const unit = contentUnitOf(draft)
  return unit && isVolume(unit) && draft.density.trim() !== '' ? usualMassUnit(unit) : undefined
}

/**
 * A claim as each of its sources sees it: that of its readings, and where it takes two, the other one's column and rows in the
 * first one's place. A control takes readings in the unit of its label, or by a density in one of mass.
 */
export function sidesOf(draft: ClaimDraft): readonly [ClaimDraft, ...ClaimDraft[]] {
  if (!isControlled(draft)) return takesTwo(draft) ? [draft, ofSecond(draft)] : [draft]
  const own: ClaimDraft = {
    ...draft,
    ...({ parameter: 'mean', limitSide: 'none', method: 'auto', allowForMeasurement: false } as const),
    unit: weighedIn(draft) ?? contentUnitOf(draft) ?? draft.unit,
  }
  if (!takesTwo(draft)) return [own]
  const second = ofSecond(own)
  // The packages of the same packs stand in the same rows.
  return [own, draft.tareBy === 'column' ? { ...second, sampleId: draft.sampleId, kept: draft.kept } : second]
}
