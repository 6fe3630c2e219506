export const ALTERNATIVES = ['less', 'greater', 'two-sided'] as const

/** On which side of the tested value a statistic counts as evidence against the null hypothesis. */
export type Alternative = (typeof ALTERNATIVES)[number]
