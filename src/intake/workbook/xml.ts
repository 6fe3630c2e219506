import { SaxesParser, type SaxesTagPlain } from 'saxes'

export type XmlTaker = Readonly<{
  open?: (name: string, attributes: Readonly<Record<string, string>>) => void
  close?: (name: string) => void
  text?: (text: string) => void
}>

/** Reads XML from its beginning to its end; throws where it is not well-formed. Entities of its own are not expanded. */
export function readXml(pieces: Iterable<string>, taker: XmlTaker): void {
  const parser = new SaxesParser()
  parser.on('error', (error) => {
    throw error
  })
  parser.on('opentag', ({ name, attributes }: SaxesTagPlain) => taker.open?.(name, attributes))
  parser.on('closetag', ({ name }) => taker.close?.(name))
  parser.on('text', (text) => taker.text?.(text))
  parser.on('cdata', (text) => taker.text?.(text))
  for (const piece of pieces) parser.write(piece)
  parser.close()
}

/** A name without the prefix of its namespace. */
export const localName = (name: string): string => name.slice(name.indexOf(':') + 1)

/** A whole number that an attribute states, 1 where it is absent; throws where it states something else. */
export function countOf(attribute: string | undefined, what: string): number {
  if (attribute === undefined) return 1
  if (!/^\d{1,15}$/.test(attribute)) throw new Error(`${what} is “${attribute.slice(0, 40)}”`)
  return Number(attribute)
}
