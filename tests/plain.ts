/** A text with usual spaces for its narrow ones. */
export const plain = (text: string) => text.replaceAll('\u202f', ' ')
