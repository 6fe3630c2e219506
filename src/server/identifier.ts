import 'server-only'
import { v7, validate } from 'uuid'

/** Identifiers sort by the time they were made. */
export const newIdentifier = (): string => v7()

/** Whether a text from an address can be an identifier at all; the database refuses any other. */
export const isIdentifier = (text: unknown): text is string => typeof text === 'string' && validate(text)

/** The page of a case; the docket where that is no case's identifier. */
export const addressOfCase = (caseId: unknown): string => (isIdentifier(caseId) ? `/cases/${caseId}` : '/')
