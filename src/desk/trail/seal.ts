/** What a time stamp says: that something with this hash was there at that time, and who says so. */
export type Stamp = Readonly<{
  /** SHA-256, in hexadecimal digits. */
  hash: string
  at: string
  /** What the authority is called in its certificate. */
  by: string
  /** SHA-256 of that certificate. */
  certificate: string
  /** Whether the authority is the simulated one that ships with the application. */
  isSimulated: boolean
}>

/** A time stamp over the trail of a case, up to the entry that has its hash. */
export type Seal = Stamp & Readonly<{ length: number }>
