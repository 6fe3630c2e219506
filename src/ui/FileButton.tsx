'use client'

import { useRef } from 'react'
import { QuietButton } from './Button'

/** A button that asks for a file. */
export function FileButton({
  label,
  accept,
  onFile,
  children,
}: Readonly<{
  /** What the file is, for those who hear the page. */
  label: string
  accept: string
  onFile: (file: File) => void
  children: string
}>) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <QuietButton type="button" onClick={() => input.current?.click()}>
        {children}
      </QuietButton>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        hidden
        onChange={(event) => {
          const [file] = event.target.files ?? []
          if (file) onFile(file)
          // The same file can be chosen again.
          event.target.value = ''
        }}
      />
    </>
  )
}
