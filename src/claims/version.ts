/** Stored with every result: the same request gives the same figures as long as this stays the same. */
export const CORE_VERSION = '0.4.0'
