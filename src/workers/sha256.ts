/** SHA-256 of a text in UTF-8, in hexadecimal digits. */
export async function sha256(text: string): Promise<string> {
  const digest = await digestOf(new TextEncoder().encode(text))
  return Array.from(digest, (byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** As the browser computes it, which it does not for a page that comes over the office's network without HTTPS. */
async function digestOf(bytes: Uint8Array<ArrayBuffer>): Promise<Uint8Array> {
  if (isSecureContext) return new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))
  const { sha256: digest } = await import('@noble/hashes/sha2')
  return digest(bytes)
}
