const NARROW_SPACE = '\u202f'
const MINUS = '\u2212'
/** Beyond these a figure is written with a power of ten. */
const MAX_DECIMALS = 12
const LARGEST_PLAIN = 1e15
/** So many digits of a decimal number survive its way through a double. */
const DECIMAL_DIGITS = 15

/** A figure to so many decimals, rounded once from full precision, with a true minus sign. */
export function formatNumber(value: number, decimals: number): string {
  const isPlain = decimals <= MAX_DECIMALS && Math.abs(value) < LARGEST_PLAIN
  const text = isPlain ? roundedAsByHand(value, decimals) : value.toExponential(5)
  return withTrueMinus(/[1-9]/.test(text) ? text : text.replace('-', ''))
}

/**
 * Halves go away from zero, as they do by hand: the mean of 41.2, 40.8, 41.1 and 42.0 is 41.275, which is 41.28 to two
 * decimals, though the double nearest to it lies a little below.
 */
function roundedAsByHand(value: number, decimals: number): string {
  const [digits, exponent = 0] = Math.abs(value).toPrecision(DECIMAL_DIGITS).split('e')
  const shifted = Math.round(Number(`${digits}e${Number(exponent) + decimals}`))
  if (!Number.isSafeInteger(shifted)) return value.toFixed(decimals)
  return (Math.sign(value) * Number(`${shifted}e-${decimals}`)).toFixed(decimals)
}

/**
 * Two figures that stand side by side to be compared, with as many more decimals as it takes not to look equal where
 * they differ.
 */
export function formatApart(value: number, limit: number, decimals: number): readonly [string, string] {
  for (let more = decimals; more <= MAX_DECIMALS; more += 1) {
    const pair = [formatNumber(value, more), formatNumber(limit, more)] as const
    if (pair[0] !== pair[1] || value === limit) return pair
  }
  return [formatFull(value), formatFull(limit)]
}

/** Every digit of a double: the shortest text that reads back as the same number. */
export function formatFull(value: number): string {
  return withTrueMinus(String(value))
}

/** Digits that every figure of the core is tested to be right in, whatever it is of. */
const SURE_DIGITS = 10

/** A figure of every digit, rounded to ten: as far as nobody who computes it another way will find another one. */
export function formatSure(full: string): string {
  // The exponent of a p-value may be beyond those of a double.
  return full.replace(/(?<=^−?)[\d.]+(?=$|e)/, (digits) =>
    String(Number(Number(digits).toPrecision(SURE_DIGITS))),
  )
}

/**
 * A reading as it was measured; one that was converted has digits that nobody measured, and is rounded.
 *
 * @param decimals - of one that was converted; without them so many digits as tell readings apart
 */
export function formatReading(value: number, decimals?: number): string {
  const isMeasured = Number(value.toPrecision(MAX_MEASURED)) === withoutMadeUpDigits(value)
  if (!isMeasured && decimals !== undefined) return formatNumber(value, decimals)
  return formatFull(Number(value.toPrecision(isMeasured ? MAX_MEASURED : CONVERTED_DIGITS)))
}

/** More digits than any instrument of the trade shows; and digits of a converted reading. */
const [MAX_MEASURED, CONVERTED_DIGITS] = [10, 7]

/** A whole number of things, in groups of three digits: 200,000. */
export function formatCount(count: number): string {
  return inThousands(String(count), ',')
}

/** The limit of a tolerance, a sum of two typed figures, without the digits that adding doubles makes up. */
export function formatLimit(limit: number): string {
  return formatFull(withoutMadeUpDigits(limit))
}

export function withoutMadeUpDigits(value: number): number {
  return Number(value.toPrecision(DECIMAL_DIGITS))
}

/**
 * A difference without the digits that subtracting doubles makes up, which lie behind the last sure one of what was subtracted:
 * 15.0155 − 15 is 0.0155. One that is smaller than these stays as it is.
 *
 * @param between - the two that it lies between
 */
export function surelyDifferent(difference: number, ...between: readonly [number, number]): number {
  const size = Math.max(...between.map(Math.abs))
  const decimals = DECIMAL_DIGITS - 1 - Math.floor(Math.log10(size))
  const isSure = decimals >= 0 && decimals <= MOST_FIXED
  return (isSure && Number(difference.toFixed(decimals))) || difference
}

/** More decimals no double is written with. */
const MOST_FIXED = 100

export function withUnit(figure: string, unit: string | undefined): string {
  return unit ? `${figure}${NARROW_SPACE}${unit}` : figure
}

/** A level between 0 and 1 as a percentage: 0.05 as 5 %. */
export function formatPercent(level: number): string {
  return withUnit(formatFull(Number((level * 100).toPrecision(12))), '%')
}

/**
 * Decimals at which a mean is worth reading: two significant digits of its standard error, as the Guide to the
 * Expression of Uncertainty in Measurement (JCGM 100:2008, 7.2.6) writes uncertainties.
 */
export function decimalsFor(standardError: number): number {
  if (!(standardError > 0)) return 3
  return Math.max(0, 1 - Math.floor(Math.log10(standardError)))
}

/** A p-value in a sentence: "p = 0.210", "p < 0.001". */
export function pWords(pValue: number | undefined, significanceLevel: number): string {
  const shown = formatPValue(pValue, significanceLevel)
  return /^[<>]/.test(shown) ? `p ${shown}` : `p = ${shown}`
}

const LAST_DIGITS = 1e-12

/**
 * A p-value for display: never 0.000, and never rounded onto the level it is compared with.
 *
 * @param computed - absent where it lies below the range of a double; one that is the level but for its last digits is the level
 * @param significanceLevel - the level it stands beside
 */
export function formatPValue(computed: number | undefined, significanceLevel: number): string {
  if (computed === undefined) return '< 1e-300'
  const isLevel = Math.abs(computed - significanceLevel) <= LAST_DIGITS * significanceLevel
  const pValue = isLevel ? significanceLevel : computed
  if (pValue < 0.001 && significanceLevel >= 0.001) return '< 0.001'
  if (pValue >= 0.9995 && pValue < 1 && significanceLevel <= 0.999) return '> 0.999'
  for (let decimals = pValue < 0.01 ? 4 : 3; decimals <= MAX_DECIMALS; decimals += 1) {
    const text = roundedAsByHand(pValue, decimals)
    const shown = Number(text)
    const isTelling =
      shown > 0 && Math.sign(shown - significanceLevel) === Math.sign(pValue - significanceLevel)
    if (isTelling && (shown < 1 || pValue === 1)) return text
  }
  return formatFull(pValue)
}

/** The full p-value: every digit, or where a double has no room for it, its power of ten from its log. */
export function formatFullPValue({
  pValue,
  logPValue,
}: Readonly<{ pValue?: number; logPValue?: number }>): string {
  if (pValue !== undefined || logPValue === undefined) return formatFull(pValue ?? 0)
  const exponent = logPValue / Math.LN10
  const whole = Math.floor(exponent)
  return `${(10 ** (exponent - whole)).toFixed(6)}e${whole}`.replace('-', MINUS)
}

function withTrueMinus(text: string): string {
  return text.replace(/-/g, MINUS)
}

/** Digits in groups of three, with a mark between them. */
export function inThousands(digits: string, mark: string): string {
  const first = digits.length % 3
  const groups = digits.slice(first).match(/\d{3}/g) ?? []
  return [...(first > 0 ? [digits.slice(0, first)] : []), ...groups].join(mark)
}
