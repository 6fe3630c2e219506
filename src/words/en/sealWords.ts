import type { Seal } from '@/desk/trail/seal'
import { formatCount } from '../figures'
import { instantWords } from './trailWords'

const SIMULATED =
  'That authority is simulated and ships with True Weight: anybody can make its time stamps, and they prove nothing.'

/**
 * What the entry of a seal says.
 *
 * @param token - SHA-256 of the time stamp
 */
export const sealEntryWords = ({ length, hash, at, by }: Seal, token: string): string =>
  `${spanOf(length)}, which ${length === 1 ? 'has' : 'end with'} the hash ${hash}: stamped at ${instantWords(at)} by ${by}; SHA-256 of the time stamp ${token}`

/** What a seal shows: "Entries 1 to 14 were there at 2026-11-05 08:00:00 UTC: a time stamp (RFC 3161) of … says so." */
export const sealWords = ({ length, at, by, isSimulated }: Seal): string =>
  `${spanOf(length)} ${length === 1 ? 'was' : 'were'} there at ${instantWords(at)}: a time stamp (RFC 3161) of “${by}” says so.${isSimulated ? ` ${SIMULATED}` : ''}`

const spanOf = (length: number): string =>
  length === 1 ? 'Entry 1 of the trail' : `Entries 1 to ${formatCount(length)} of the trail`
