import type { KeyStanding, Signature } from '@/desk/signature'
import { instantWords } from './trailWords'

const STANDINGS: Readonly<Record<KeyStanding, string>> = {
  registered: 'which the register has under this name',
  'other-name': 'which the register has under another name',
  withdrawn: 'which the register did not have under this name on that day',
  'not-on-register': 'which is not on the register',
}

/** The beginning of a key's fingerprint, as it is read out. */
export const keyWords = (key: string): string => `${key.slice(0, 12)}…`

/** How a finding was signed: "with the key GqW3…, which the register has under this name". */
export function signatureWords(signature: Signature): string {
  return signature.by === 'name'
    ? `by name, without a key${signature.hadKey ? ', though the register had a key of that name by then' : ''}`
    : `with the key ${keyWords(signature.key)}, ${STANDINGS[signature.standing]}`
}

/** The same with the whole key, as a report has it; where no register is to hand, that it was held against none. */
export function signedWith(signature: Signature, isHeld: boolean): string {
  if (signature.by === 'name') return signatureWords(signature)
  const standing = isHeld ? STANDINGS[signature.standing] : 'which was held against no register'
  return `with the key ${signature.key}, ${standing}`
}

/**
 * The day that whoever signed named, beside the time at which it was written to the trail, and who that was written by where it is
 * another: "on 2026-01-14 (on the trail at …, entered by B. Weigher)".
 */
export function signedOnWords({
  signedOn,
  createdAt,
  enteredBy,
}: Readonly<{ signedOn: string; createdAt: string; enteredBy?: string | undefined }>): string {
  const by = enteredBy === undefined ? '' : `, entered by ${enteredBy}`
  return `on ${signedOn} (on the trail at ${instantWords(createdAt)}${by})`
}

/** Which signed finding one replaces, and why, as whoever signed it said. */
export const replacesWords = ({ number, reason }: Readonly<{ number: number; reason: string }>): string =>
  `It replaces signed finding ${number}${reason === '' ? '; why is not stated.' : `: “${reason}”`}`
