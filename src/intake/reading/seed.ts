/** The seed of a draw, as it is typed: a whole number of at most nine digits; undefined where it is none. */
export const readSeed = (text: string): number | undefined =>
  /^\d{1,9}$/.test(text.trim()) ? Number(text) : undefined
