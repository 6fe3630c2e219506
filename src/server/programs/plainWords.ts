import 'server-only'
import type { AddressWords } from '@/desk/addressWords'

/** The words of an address, without what a framework puts among them for names that every object has. */
export function plainWords(words: Readonly<Record<string, unknown>>): AddressWords {
  const texts = (value: unknown) => [value].flat().filter((one) => typeof one === 'string')
  return Object.fromEntries(
    Object.entries(words).map(([word, value]) => [word, typeof value === 'string' ? value : texts(value)]),
  )
}
