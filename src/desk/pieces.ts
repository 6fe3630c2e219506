/** Bytes of a file as they come, a piece after the other. */
export type Pieces = Iterable<Uint8Array> | AsyncIterable<Uint8Array>
