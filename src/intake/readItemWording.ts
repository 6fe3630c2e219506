import { PARAMETERS } from '@/claims/terms/names'
import { parameterOf } from '@/claims/all'
import type { ClaimWords } from '@/desk/claimDraft'
import { NUMBER, UNIT } from './wordingRelation'

const AT_LEAST = 'at least|no less than|not less than|no fewer than'
const AT_MOST = 'at most|no more than|not more than|up to'
const ITEMS = new RegExp(
  `(?:\\b(${AT_LEAST}|${AT_MOST}) )?(${NUMBER}) ?(?:%|per ?cent) of (?:the |all |our |its |their )?([A-Za-z][A-Za-z -]{0,40}?) ` +
    `(?:hold|weigh|contain|measure|reach|last|are|read|give|have|keep|stay)s? (?:for )?(${AT_LEAST}|${AT_MOST}) (${NUMBER})(?: ?(${UNIT}))?`,
  'i',
)
const COUNTED = PARAMETERS.find((name) => parameterOf(name).sample === 'counted')!
const sideOf = (words: string) => (new RegExp(`^(?:${AT_LEAST})$`, 'i').test(words) ? 'at-least' : 'at-most')

/**
 * A share of items by their readings, as its wording says it: "95 % of the sacks hold at least 15 kg". Whether at least or at
 * most that share is claimed is left open where the words do not say it.
 *
 * @returns undefined for any other wording
 */
export function readItemWording(
  text: string,
): Readonly<{ words: Partial<ClaimWords>; seen: string }> | undefined {
  const found = ITEMS.exec(text)
  if (!found || ITEMS.test(text.slice(found.index + found[0].length))) return undefined
  const [seen, relation, share, items, side, limit, unit] = found
  return {
    words: {
      parameter: COUNTED,
      ...(relation === undefined ? {} : { relation: sideOf(relation) }),
      claimedValue: `${share!} %`,
      quantity: items!,
      limitSide: sideOf(side!),
      limitValue: limit!,
      ...(unit === undefined ? {} : { unit }),
    },
    seen,
  }
}
