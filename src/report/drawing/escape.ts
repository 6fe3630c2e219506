const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}

/** A text as HTML and XML hold it: nothing in it is read as a tag. */
export function escapeXml(text: string): string {
  return legible(text).replace(/[&<>"']/g, (one) => ENTITIES[one]!)
}

/** A text without the characters that no XML document may hold, each marked. */
export function legible(text: string): string {
  return text.replace(/[\0-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/gu, '\ufffd')
}
