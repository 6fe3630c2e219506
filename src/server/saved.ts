/** What became of a draft that was stored. */
export type Saved = Readonly<{ revision: number; savedAt: string }>
