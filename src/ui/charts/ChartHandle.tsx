'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { KeyboardEvent, PointerEvent, RefObject } from 'react'

const Knob = chakra('div', {
  base: {
    position: 'absolute',
    width: '28px',
    height: '28px',
    marginLeft: '-14px',
    marginTop: '-14px',
    display: 'grid',
    placeItems: 'center',
    cursor: 'ew-resize',
    touchAction: 'none',
    borderRadius: '50%',
    _before: {
      content: '""',
      width: '14px',
      height: '14px',
      borderRadius: '50%',
      border: '2px solid',
      borderColor: 'brass',
      bg: 'page',
    },
    _hover: { bg: 'selection' },
    _print: { display: 'none' },
  },
})

/**
 * What is pulled along a picture's axis, by the pointer or by keys.
 *
 * @param frame - the picture with it, as wide as the picture
 * @param axis - from where to where the axis goes
 * @param aside - what the picture leaves free to the left and right of the axis, in pixels
 * @param at - where on the axis it stands, and how many pixels from the top
 * @param step - how far a key moves it
 * @param value - what it stands for, where that lies outside the picture
 */
export function ChartHandle({
  frame,
  axis,
  aside: [left, right],
  at,
  step,
  value,
  label,
  words,
  onMove,
}: Readonly<{
  frame: RefObject<HTMLElement | null>
  axis: Readonly<{ min: number; max: number }>
  aside: readonly [number, number]
  at: Readonly<{ x: number; top: number }>
  step: number
  value: number
  label: string
  words: string
  onMove: (x: number) => void
}>) {
  const width = axis.max - axis.min
  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId) || !frame.current) return
    const box = frame.current.getBoundingClientRect()
    onMove(axis.min + ((event.clientX - box.left - left) / (box.width - left - right)) * width)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -10, PageUp: 10 }[
      event.key
    ]
    if (by === undefined) return
    event.preventDefault()
    onMove(value + by * step)
  }
  return (
    <Knob
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={axis.min}
      aria-valuemax={axis.max}
      aria-valuenow={at.x}
      aria-valuetext={words}
      style={{
        top: `${at.top}px`,
        left: `calc(${left}px + (100% - ${left + right}px) * ${(at.x - axis.min) / width})`,
      }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      {...{ onPointerMove, onKeyDown }}
    />
  )
}
