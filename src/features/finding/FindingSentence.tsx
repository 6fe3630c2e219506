'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useFindingWords } from './useFindingWords'

const Sentence = chakra('p', { base: { fontFamily: 'heading', fontSize: '16px', lineHeight: '1.45' } })

/** The finding in plain words. */
export function FindingSentence() {
  const words = useFindingWords()
  return words ? <Sentence>{words.sentence}</Sentence> : null
}
