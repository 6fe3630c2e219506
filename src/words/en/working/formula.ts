import { formatFull, formatFullPValue, formatSure } from '../../figures'

/** A piece of a formula, as LaTeX and as plain text. */
export type Formula = Readonly<{ latex: string; text: string }>

/** One line of the working: what it is, and the formula with its numbers put in. */
export type Step = Formula & Readonly<{ name: string }>

/** Intermediate figures are shown to so many significant digits, and computed with all of them. */
const SIGNIFICANT = 8
const GIVEN_DIGITS = 14

export function symbol(text: string, latex = text): Formula {
  return { latex, text }
}

/** A figure of the sample or the claim, to the digits that moments are right in. */
export function given(value: number): Formula {
  return figure(formatFull(Number(value.toPrecision(GIVEN_DIGITS))))
}

/** A p-value, which may be beyond the range of a double. */
export function probability(pValue: Parameters<typeof formatFullPValue>[0]): Formula {
  return figure(formatSure(formatFullPValue(pValue)))
}

/** A computed figure, to eight significant digits. */
export function computed(value: number): Formula {
  return figure(formatFull(Number(value.toPrecision(SIGNIFICANT))))
}

export function fraction(above: Formula, below: Formula): Formula {
  return {
    latex: `\\frac{${above.latex}}{${below.latex}}`,
    text: `${enclosed(above.text)} / ${enclosed(below.text)}`,
  }
}

export function root(inside: Formula): Formula {
  const isPlain = /^[\p{L}\d.]+$/u.test(inside.text)
  return { latex: `\\sqrt{${inside.latex}}`, text: isPlain ? `√${inside.text}` : `√(${inside.text})` }
}

export function squared(base: Formula): Formula {
  return { latex: `${bracketedLatex(base)}^{2}`, text: `${enclosed(base.text)}²` }
}

export function joined(first: Formula, operator: '+' | '−' | '·', second: Formula): Formula {
  const latex = { '+': '+', '−': '-', '·': '\\cdot' }[operator]
  const part = (formula: Formula) =>
    operator === '·' || isNegative(formula)
      ? { latex: bracketedLatex(formula), text: enclosed(formula.text) }
      : formula
  const [left, right] = [operator === '·' ? part(first) : first, part(second)]
  return { latex: `${left.latex} ${latex} ${right.latex}`, text: `${left.text} ${operator} ${right.text}` }
}

/** "t = (x̄ − μ₀) / (s / √n) = (14.9 − 15) / (0.1 / √12) = −3.46" */
export function step(name: string, ...sides: readonly Formula[]): Step {
  return {
    name,
    latex: sides.map(({ latex }) => latex).join(' = '),
    text: sides.map(({ text }) => text).join(' = '),
  }
}

function figure(text: string): Formula {
  const plain = text.replaceAll(MINUS, '-')
  const [digits, exponent] = plain.split('e')
  return { latex: exponent === undefined ? plain : `${digits} \\cdot 10^{${Number(exponent)}}`, text }
}

const MINUS = '\u2212'

function isNegative({ text }: Formula): boolean {
  return text.startsWith(MINUS)
}

/** In brackets where it has parts that an operator before or after would tear apart. */
function enclosed(text: string): string {
  const isWhole = (!/ [+−·/] /.test(text) && !text.startsWith(MINUS)) || /^\([^()]*\)$/.test(text)
  return isWhole ? text : `(${text})`
}

function bracketedLatex({ latex, text }: Formula): string {
  const isFraction = latex.startsWith('\\frac')
  return enclosed(text) === text || isFraction ? latex : `\\left(${latex}\\right)`
}
