// The server's own functions for the bench of stored sheets, which bundles this file.
export { insertCase } from '../src/data/caseRepository'
export { openDatabase } from '../src/data/client'
export { EMPTY_CASE } from '../src/desk/caseWords'
export { EMPTY_CLAIM } from '../src/desk/claimDraft'
export { importSheet } from '../src/server/sample/importSheet'
export { outcomeOf } from '../src/server/check/outcomeOf'
