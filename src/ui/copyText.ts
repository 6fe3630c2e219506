/** Copies a text, also where the page comes over the office's network without HTTPS: browsers keep their clipboard from such a page. */
export async function copyText(text: string): Promise<void> {
  if (window.isSecureContext) return navigator.clipboard.writeText(text)
  const { default: copy } = await import('copy-to-clipboard')
  copy(text, { format: 'text/plain' })
}
