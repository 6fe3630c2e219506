'use client'

import { Box } from '@chakra-ui/react/box'
import type { ReadRule } from '@/desk/sampleDraft'
import { withSaid } from '@/intake/sayings'
import { QuietButton } from '@/ui/Button'
import { useSample } from '@/ui/sample/SampleProvider'
import { ruleWords } from '@/words/en/entryWords'

/**
 * What was said of how the entries of a column are read, and what was taken for its name; each can be taken back.
 *
 * @param name - of the column
 */
export function ReadAs({ name }: Readonly<{ name: string }>) {
  const { draft: sample, typed, setFields } = useSample()
  const rules = sample.columns.find((column) => column.name === name)?.readAs ?? []
  const say = (said: readonly ReadRule[]) =>
    setFields(withSaid(sample, name, { mark: sample.decimalMark, rules: said }))
  return (
    <>
      {typed.header !== undefined && (
        <Said
          words={`The first line, “${typed.header}”, names the column.`}
          undo="It is an entry"
          onUndo={() => say([...rules, { rule: 'entry', text: '' }])}
        />
      )}
      {rules.map((rule) => (
        <Said
          key={`${rule.rule} ${rule.text}`}
          words={`${sample.columns.length > 1 ? `${name}: read` : 'Read'} with ${ruleWords(rule)}.`}
          undo="Not so"
          onUndo={() => say(rules.filter((one) => one !== rule))}
        />
      ))}
    </>
  )
}

function Said({ words, undo, onUndo }: Readonly<{ words: string; undo: string; onUndo: () => void }>) {
  return (
    <Box marginTop="4px" color="quiet">
      {words}{' '}
      <QuietButton type="button" onClick={onUndo}>
        {undo}
      </QuietButton>
    </Box>
  )
}
