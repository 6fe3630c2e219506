'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import type { Relation } from '@/claims/terms/relations'
import { PARAMETER_NOUNS } from '@/words/en/parameters'
import { withUnit } from '@/words/figures'
import { limitWords } from '@/words/en/claimWords'
import { RELATION_WORDS } from '@/words/en/relations'
import { type Guess, readWording, type Unseen } from '@/intake/readWording'
import { QuietButton } from '@/ui/Button'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** What a claim needs, as what a wording leaves open. */
const LEFT_OPEN: { readonly [Name in Unseen]: string } = {
  parameter: 'which figure is meant, such as a mean or a share',
  relation: 'how it compares, such as at least or at most',
  value: 'which value, or how its number is to be read',
}

/**
 * What the claim's own wording seems to say, where the sentence says something else, and what it leaves open. It is applied only
 * when asked for.
 */
export function WordingGuess() {
  const { draft, setFields } = useWorkbench()
  const guess = readWording(draft.wording, draft.decimalMark, draft.parameter)
  const { quantity, ...others } = guess?.words ?? {}
  // What is counted may be called otherwise in the sentence.
  const words: Guess['words'] = quantity && draft.quantity.trim() === '' ? { ...others, quantity } : others
  const isSaid = (Object.keys(words) as (keyof Guess['words'])[]).every(
    (field) => draft[field] === words[field],
  )
  if (!guess) return null
  // What is said already is not suggested; a value that is still to be written is asked for.
  const isValueOpen = guess.unseen.includes('value') && draft.claimedValue.trim() === ''
  if (isSaid && !isValueOpen) return null
  if (isSaid)
    return (
      <Box marginTop="8px" color="quiet" role="note" aria-label="Read from the wording">
        Its wording leaves open {LEFT_OPEN.value}: say that in the sentence.
      </Box>
    )
  return (
    <Flex
      gap="12px"
      align="center"
      wrap="wrap"
      marginTop="8px"
      role="note"
      aria-label="Read from the wording"
    >
      <Box color="quiet">
        Its wording may mean: <b>{inWords(words)}</b>, from {guess.seen.map((one) => `“${one}”`).join(', ')}.
        {guess.unseen.length > 0 &&
          ` It leaves open ${guess.unseen.map((one) => LEFT_OPEN[one]).join('; ')}: say that in the sentence.`}
      </Box>
      <QuietButton
        type="button"
        onClick={() =>
          setFields({
            ...words,
            ...((words.parameter ?? draft.parameter) === draft.parameter ? {} : { method: 'auto' }),
          })
        }
      >
        Use this reading
      </QuietButton>
    </Flex>
  )
}

function inWords(words: Guess['words']): string {
  const {
    parameter,
    relation,
    claimedValue = '',
    toleranceBelow,
    toleranceAbove,
    unit = '',
    exposureUnit,
    quantity,
    limitSide,
  } = words
  const per = exposureUnit ? `per ${exposureUnit}` : ''
  const value = [claimedValue, limitSide ? '' : unit, per].filter(Boolean).join('\u202f')
  return [
    parameter && PARAMETER_NOUNS[parameter],
    quantity && `of ${quantity}`,
    limitSide && limitSide !== 'none' && limitWords(limitSide, withUnit(words.limitValue ?? '', unit)),
    relationWords(relation, toleranceBelow, toleranceAbove),
    value,
  ]
    .filter(Boolean)
    .join(' ')
}

function relationWords(relation: Relation | undefined, below: string | undefined, above: string | undefined) {
  if (!relation) return ''
  return relation === 'within' ? `within ${below} below and ${above} above` : RELATION_WORDS[relation]
}
