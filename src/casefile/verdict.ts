/** Something that is not what was written: where, and what. */
export type Break = Readonly<{ path: string; message: string }>

/** What of a record does not hold, and what can't be told of it though nothing speaks against it. */
export type RecordVerdict = Readonly<{ breaks: readonly Break[]; notes: readonly string[] }>
