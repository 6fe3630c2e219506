'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useRouter } from 'next/navigation'
import { useTransition } from 'react'
import { FORMATS, PARTS, queryOf, type ReportOptions } from '@/desk/reportOptions'
import { FORMAT_WORDS, LANGUAGE_WORDS, PART_WORDS, UNSTATED_WORDS } from '@/words/en/reportWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'

const OWN = 'own'
const DECIMAL_WORDS: Readonly<Record<string, string>> = {
  [OWN]: 'the decimals of each claim',
  ...Object.fromEntries([0, 1, 2, 3, 4, 5, 6].map((count) => [`n${count}`, `${count} decimals`])),
}
const Download = chakra('a', {
  base: { color: 'accent', fontWeight: '600', textUnderlineOffset: '3px' },
})
const Check = chakra('label', {
  base: {
    display: 'inline-flex',
    gap: '6px',
    alignItems: 'center',
    '& input': { accentColor: 'var(--chakra-colors-accent)' },
  },
})

/** Which parts the report has and how its numbers are written; and the files that it can be taken away as. */
export function ReportChooser({
  caseId,
  options,
  claimCount,
}: Readonly<{ caseId: string; options: ReportOptions; claimCount: number }>) {
  const router = useRouter()
  const [isMaking, start] = useTransition()
  const show = (changed: Partial<ReportOptions>) =>
    start(() =>
      router.replace(`/cases/${caseId}/report${queryOf({ ...options, ...changed }, claimCount)}`, {
        scroll: false,
      }),
    )
  const { parts, decimals, language, unstated } = options
  const query = queryOf(options, claimCount)
  const { decimals: _, ...withoutDecimals } = options
  return (
    <Box role="group" aria-label="What the report holds" _print={{ display: 'none' }}>
      <Flex gap="4px 18px" wrap="wrap">
        {PARTS.map((part) => (
          <Check key={part}>
            <input
              type="checkbox"
              checked={parts.includes(part)}
              onChange={({ target }) =>
                show({ parts: PARTS.filter((one) => (one === part ? target.checked : parts.includes(one))) })
              }
            />
            {PART_WORDS[part]}
          </Check>
        ))}
      </Flex>
      <Box marginTop="8px" lineHeight="1.9">
        Figures with{' '}
        <InlineChoice
          label="Decimals of the report"
          value={decimals === undefined ? OWN : `n${decimals}`}
          words={DECIMAL_WORDS}
          onChange={(chosen) =>
            start(() => {
              const changed =
                chosen === OWN ? withoutDecimals : { ...options, decimals: Number(chosen.slice(1)) }
              router.replace(`/cases/${caseId}/report${queryOf(changed, claimCount)}`, { scroll: false })
            })
          }
        />
        , written as{' '}
        <InlineChoice
          label="How numbers are written"
          value={language}
          words={LANGUAGE_WORDS}
          onChange={(chosen) => show({ language: chosen })}
        />
        ; what is not stated is{' '}
        <InlineChoice
          label="What is not stated"
          value={unstated}
          words={UNSTATED_WORDS}
          onChange={(chosen) => show({ unstated: chosen })}
        />
        .
      </Box>
      <Flex marginTop="8px" gap="18px" align="baseline">
        <span>Take it away as</span>
        {FORMATS.map((format) => (
          <Download
            key={format}
            href={`/api/cases/${caseId}/report${query === '' ? '?' : `${query}&`}format=${format}`}
            download
          >
            {FORMAT_WORDS[format]}
          </Download>
        ))}
        <Box as="span" role="status" color="quiet">
          {isMaking ? 'Making it anew…' : ''}
        </Box>
      </Flex>
    </Box>
  )
}
