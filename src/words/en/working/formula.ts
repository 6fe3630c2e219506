import type { Formula } from '@/claims/terms/formula'
import { formatFull, formatFullPValue, formatSure } from '../../figures'

/** A piece of a formula as it is read: LaTeX and plain text. */
export type Written = Readonly<{ latex: string; text: string }>

/** Intermediate figures are shown to so many significant digits, and computed with all of them. */
const SIGNIFICANT = 8
const GIVEN_DIGITS = 14
const MINUS = '\u2212'
const OPERATORS = { '+': '+', '−': '-', '·': '\\cdot' } as const

/** Writes a formula out. */
export function written(formula: Formula): Written {
  switch (formula.is) {
    case 'symbol':
      return { latex: formula.latex, text: formula.text }
    case 'given':
      return figure(formatFull(Number(formula.value.toPrecision(GIVEN_DIGITS))))
    case 'computed':
      return figure(formatFull(Number(formula.value.toPrecision(SIGNIFICANT))))
    case 'probability':
      return figure(formatSure(formatFullPValue(formula)))
    case 'fraction': {
      const [above, below] = [written(formula.above), written(formula.below)]
      return {
        latex: `\\frac{${above.latex}}{${below.latex}}`,
        text: `${enclosed(above.text)} / ${enclosed(below.text)}`,
      }
    }
    case 'root': {
      const inside = written(formula.inside)
      const isPlain = /^[\p{L}\d.]+$/u.test(inside.text)
      return { latex: `\\sqrt{${inside.latex}}`, text: isPlain ? `√${inside.text}` : `√(${inside.text})` }
    }
    case 'squared': {
      const base = written(formula.base)
      return { latex: `${bracketedLatex(base)}^{2}`, text: `${enclosed(base.text)}²` }
    }
    case 'joined':
      return joined(written(formula.first), formula.operator, written(formula.second))
    default:
      return formula satisfies never
  }
}

function joined(first: Written, operator: keyof typeof OPERATORS, second: Written): Written {
  const part = (one: Written) =>
    operator === '·' || one.text.startsWith(MINUS)
      ? { latex: bracketedLatex(one), text: enclosed(one.text) }
      : one
  const [left, right] = [operator === '·' ? part(first) : first, part(second)]
  return {
    latex: `${left.latex} ${OPERATORS[operator]} ${right.latex}`,
    text: `${left.text} ${operator} ${right.text}`,
  }
}

/** "t = (x̄ − μ₀) / (s / √n) = (14.9 − 15) / (0.1 / √12) = −3.46" */
export function equation(sides: readonly Formula[]): Written {
  const parts = sides.map(written)
  return {
    latex: parts.map(({ latex }) => latex).join(' = '),
    text: parts.map(({ text }) => text).join(' = '),
  }
}

function figure(text: string): Written {
  const plain = text.replaceAll(MINUS, '-')
  const [digits, exponent] = plain.split('e')
  return { latex: exponent === undefined ? plain : `${digits} \\cdot 10^{${Number(exponent)}}`, text }
}

/** In brackets where it has parts that an operator before or after would tear apart. */
function enclosed(text: string): string {
  const isWhole = (!/ [+−·/] /.test(text) && !text.startsWith(MINUS)) || /^\([^()]*\)$/.test(text)
  return isWhole ? text : `(${text})`
}

function bracketedLatex({ latex, text }: Written): string {
  const isFraction = latex.startsWith('\\frac')
  return enclosed(text) === text || isFraction ? latex : `\\left(${latex}\\right)`
}
