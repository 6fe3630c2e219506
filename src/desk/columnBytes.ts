import type { ColumnKind } from './sampleDraft'

/** What is kept of a column beside its cells. */
export type ColumnHead = Readonly<{
  name: string
  kind: ColumnKind
  length: number
  /** How many cells are missing. */
  missing: number
  /** Of a category: its texts, each at its code less 1. */
  dictionary: readonly string[]
}>

/** A column as it is stored: chunks of the bytes of its cells, in their order. */
export type ColumnBytes = Readonly<{ head: ColumnHead; chunks: Iterable<Uint8Array> }>
