import { chakra } from '@chakra-ui/react/styled-system'
import { useState } from 'react'
import { readTypedNumber } from '@/intake/reading/number'
import { InlineText } from '@/ui/inline/InlineText'
import { useLabel } from '@/ui/sample/SampleProvider'
import { widthText } from '@/words/en/histogramWords'
import { withUnit } from '@/words/figures'

/** How far the slider makes the bins narrower or wider, as a power of two. */
const STEPS = { min: -3, max: 3, step: 0.25 } as const
const Slider = chakra('input', { base: { accentColor: 'accent', width: '120px', minHeight: '24px' } })

/** How wide the bins of a histogram are: typed, or made narrower and wider by a slider. */
export function BinWidth({
  width,
  usual,
  unit,
  onChange,
}: Readonly<{ width: number; usual: number; unit: string; onChange: (width: number) => void }>) {
  const label = useLabel()
  const [typed, setTyped] = useState<string>()
  const shown = widthText(width)
  const reading = typed === undefined ? undefined : readTypedNumber(typed, 'point')
  const isInvalid = reading !== undefined && typed !== '' && !(reading.ok && reading.value > 0)
  const isUsual = width === usual
  return (
    <>
      Bins of{' '}
      <InlineText
        label={label('Width of the bins, typed')}
        value={typed ?? shown}
        placeholder={widthText(usual)}
        inputMode="decimal"
        isInvalid={isInvalid}
        onChange={(text) => {
          setTyped(text)
          const read = readTypedNumber(text, 'point')
          if (text.trim() === '') onChange(usual)
          else if (read.ok && read.value > 0) onChange(read.value)
        }}
      />{' '}
      {unit}
      {isUsual && ' (Freedman and Diaconis)'}
      {isInvalid && <span role="alert"> A width is a number above 0, such as {widthText(usual)}.</span>}{' '}
      <Slider
        type="range"
        aria-label={label('Width of the bins')}
        aria-valuetext={withUnit(shown, unit)}
        {...STEPS}
        value={Math.log2(width / usual)}
        onChange={({ target }) => {
          const step = Number(target.value)
          setTyped(undefined)
          onChange(step === 0 ? usual : Number((usual * 2 ** step).toPrecision(3)))
        }}
      />
    </>
  )
}
