/** What a two-sided exact test adds up: every outcome no likelier than the one seen, or twice the smaller tail. */
export const TWO_SIDED_RULES = ['minimum-likelihood', 'doubled'] as const
export type TwoSidedRule = (typeof TWO_SIDED_RULES)[number]
