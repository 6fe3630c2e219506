// How much is measured: all of it, or with `--tiny` so little that only whether a bench still works is seen.
export const IS_TINY = process.argv.includes('--tiny')

/** @returns `full`, or `tiny` where only whether it works is wanted */
export const sized = (full, tiny) => (IS_TINY ? tiny : full)

/** How often a thing is done, for the median of its times. */
export const TURNS = sized(5, 1)
