import { SaxesParser, type SaxesTagPlain } from 'saxes'

export type XmlTaker = Readonly<{
  open?: (name: string, attributes: Readonly<Record<string, string>>) => void
  close?: (name: string) => void
  text?: (text: string) => void
}>

/** Reads XML from its beginning to its end; throws where it is not well-formed. Entities of its own are not expanded. */
export function readXml(xml: string, taker: XmlTaker): void {
  const parser = new SaxesParser()
  parser.on('error', (error) => {
    throw error
  })
  parser.on('opentag', ({ name, attributes }: SaxesTagPlain) => taker.open?.(name, attributes))
  parser.on('closetag', ({ name }) => taker.close?.(name))
  parser.on('text', (text) => taker.text?.(text))
  parser.on('cdata', (text) => taker.text?.(text))
  parser.write(xml).close()
}

/** A name without the prefix of its namespace. */
export const localName = (name: string): string => name.slice(name.indexOf(':') + 1)
