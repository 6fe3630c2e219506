import type { SamplingPicture } from '@/pictures/samplingPicture'

/** What the picture of a test shows, for those who do not see it. */
export function samplingWords(
  input: Readonly<{
    picture: SamplingPicture
    letter: string
    /** A value of the statistic. */
    plain: (value: number) => string
    /** A value of the parameter. */
    inUnit: (value: number) => string
    pValue: string
  }>,
): string {
  const { picture, letter, plain, inUnit, pValue } = input
  const { statistic, rejected, estimateAt } = picture
  const at = (value: number) =>
    estimateAt ? `${plain(value)}, which is ${inUnit(estimateAt(value))}` : plain(value)
  const regions = [
    ...(rejected.lower === undefined ? [] : [`${at(rejected.lower)} and below`]),
    ...(rejected.upper === undefined ? [] : [`${at(rejected.upper)} and above`]),
  ]
  const rejection =
    regions.length === 0 ? 'No value is rejected.' : `The rejection region is ${regions.join(', or ')}.`
  return `Distribution of ${letter} if the null hypothesis only just holds. ${rejection} The sample’s ${letter} is ${at(statistic)}. Shaded: the p-value, ${pValue}.`
}
