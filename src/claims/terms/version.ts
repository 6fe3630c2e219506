/**
 * Stored with every result: as long as this stays the same, the same texts are read as the same check document (by the intake),
 * and the same document comes to the same result.
 */
export const CORE_VERSION = '0.13.1'
