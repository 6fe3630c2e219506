'use client'

import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useEffect, useRef } from 'react'
import { Button, QuietButton } from './Button'

const Dialog = chakra('dialog', {
  base: {
    width: 'min(440px, 92vw)',
    margin: 'auto',
    padding: '20px 24px',
    bg: 'surface',
    color: 'ink',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    _backdrop: { bg: 'rgba(0, 0, 0, 0.35)' },
  },
})
const List = chakra('dl', {
  base: {
    display: 'grid',
    gridTemplateColumns: '150px 1fr',
    gap: '6px 14px',
    marginBlock: '12px 16px',
    '& kbd': { fontFamily: 'mono', fontSize: '13px' },
  },
})

type Entry = Readonly<{ id: string; title: string }>

/** The keys that do something, on `?`; digits go to the sections of the page. */
export function Shortcuts({ sections }: Readonly<{ sections: readonly Entry[] }>) {
  const dialog = useRef<HTMLDialogElement>(null)
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const { key, ctrlKey, metaKey, altKey, target } = event
      if (ctrlKey || metaKey || altKey || isTyping(target)) return
      const section = sections[Number(key) - 1]
      if (key !== '?' && !section) return
      event.preventDefault()
      if (!section) return dialog.current?.showModal()
      dialog.current?.close()
      location.hash = section.id
      // So that the next Tab goes on from there.
      const place = document.getElementById(section.id)
      place?.setAttribute('tabindex', '-1')
      place?.focus()
    }
    document.addEventListener('keydown', onKeyDown)
    return () => document.removeEventListener('keydown', onKeyDown)
  }, [sections])
  return (
    <>
      <QuietButton type="button" aria-label="Keyboard shortcuts" onClick={() => dialog.current?.showModal()}>
        ?
      </QuietButton>
      <Dialog ref={dialog} aria-label="Keyboard shortcuts">
        <chakra.h2 fontFamily="heading" fontSize="20px">
          Keyboard
        </chakra.h2>
        <List>
          {sections.map(({ id, title }, at) => (
            <Keys key={id} keys={[String(at + 1)]} words={title} />
          ))}
          <Keys keys={['Ctrl', 'Z']} words="Undo the last edit" />
          <Keys keys={['Ctrl', 'Shift', 'Z']} words="Do it again" />
          <Keys keys={['Enter']} words="On a figure: copy every digit" />
          <Keys keys={['Shift', 'Enter']} words="On a figure: copy it as shown" />
          <Keys keys={['Enter']} words="Leave a word of a sentence" />
          <Keys keys={['Esc']} words="Put back what stood there" />
          <Keys keys={['?']} words="This list" />
        </List>
        <Flex justify="flex-end">
          <Button type="button" onClick={() => dialog.current?.close()}>
            Close
          </Button>
        </Flex>
      </Dialog>
    </>
  )
}

function Keys({ keys, words }: Readonly<{ keys: readonly string[]; words: string }>) {
  return (
    <>
      <dt>
        {keys.map((key, at) => (
          <span key={key}>
            {at > 0 && ' + '}
            <kbd>{key}</kbd>
          </span>
        ))}
      </dt>
      <dd>{words}</dd>
    </>
  )
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.role === 'grid')
  )
}
