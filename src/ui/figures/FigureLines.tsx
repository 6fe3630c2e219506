'use client'

import type { FigureLine } from '@/words/en/testLines'
import { Figure } from './Figure'
import { FigureTable } from './FigureTable'

/** Figures under one another, each with its name, and each to be copied. */
export function FigureLines({ label, lines }: Readonly<{ label: string; lines: readonly FigureLine[] }>) {
  const rows = lines.map((line) => ({ name: line.name, figure: <Figure {...line} /> }))
  return <FigureTable label={label} rows={rows} />
}
