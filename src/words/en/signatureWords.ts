import type { KeyStanding, Signature } from '@/desk/signature'

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
    ? 'by name, without a key'
    : `with the key ${keyWords(signature.key)}, ${STANDINGS[signature.standing]}`
}
