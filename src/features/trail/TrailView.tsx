import { Box, Flex } from '@chakra-ui/react'
import type { ChainedEntry, ChainVerdict } from '@/core/trail/chain'
import { formatCount } from '@/core/wording/figures'
import {
  ACTION_WORDS,
  changeLines,
  instantWords,
  NOBODY_NAMED,
  verdictWords,
} from '@/core/wording/trailWords'
import { PageTitle } from '@/ui/PageTitle'
import { TextLink } from '@/ui/TextLink'
import { TrailChooser } from './TrailChooser'
import { type TrailChoice, trailQuery } from './trailView'

/** Longer ones are cut on the page; the case file has them whole. */
const LONGEST_SHOWN = 400

/** Who changed what of a case and when, before and after; and whether the record is as it was written. */
export function TrailView({
  caseId,
  entries,
  total,
  verdict,
  choice,
  pageSize,
  subjects,
}: Readonly<{
  caseId: string
  entries: readonly ChainedEntry[]
  total: number
  verdict: ChainVerdict
  choice: TrailChoice
  pageSize: number
  /** The claims and samples of the case, each with its name. */
  subjects: Readonly<Record<string, string>>
}>) {
  const pages = Math.ceil(total / pageSize)
  const { page } = choice
  return (
    <Box as="main" maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Trail</PageTitle>
      <Box
        marginTop="8px"
        role="status"
        wordBreak="break-word"
        color={verdict.holds ? 'finding.supported' : 'finding.contradicted'}
      >
        {verdictWords(verdict)}
      </Box>
      <TrailChooser
        choice={choice}
        subjects={subjects}
        found={total === 1 ? '1 entry' : `${formatCount(total)} entries`}
      />
      <Box as="ol" aria-label="Trail" marginTop="10px" borderBottom="1px solid" borderColor="rule">
        {entries.map((entry) => (
          <Entry
            key={entry.id}
            entry={entry}
            subject={subjects[entry.claimId ?? entry.sampleId ?? ''] ?? ''}
          />
        ))}
      </Box>
      {pages > 1 && (
        <Flex as="nav" aria-label="Pages of the trail" gap="18px" marginTop="14px">
          {page > 0 && (
            <TextLink
              href={`/cases/${caseId}/trail${trailQuery({ ...choice, page: page - 1 })}`}
              color="accent"
            >
              Later entries
            </TextLink>
          )}
          <span>
            Page {page + 1} of {pages}
          </span>
          {page + 1 < pages && (
            <TextLink
              href={`/cases/${caseId}/trail${trailQuery({ ...choice, page: page + 1 })}`}
              color="accent"
            >
              Earlier entries
            </TextLink>
          )}
        </Flex>
      )}
    </Box>
  )
}

function Entry({ entry, subject }: Readonly<{ entry: ChainedEntry; subject: string }>) {
  const { number, at, who, action, detail } = entry
  const lines = changeLines(entry)
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns="52px 1fr"
      paddingBlock="10px"
      borderTop="1px solid"
      borderColor="rule"
    >
      <Box fontFamily="mono" color="quiet">
        {number}
      </Box>
      <Box minWidth="0">
        <Box>
          <strong>{who || NOBODY_NAMED}</strong> {ACTION_WORDS[action]}.{' '}
          <Box as="span" color="quiet">
            {instantWords(at)}
          </Box>
        </Box>
        {(detail || subject) && (
          <Box color="quiet" wordBreak="break-word">
            {detail || subject}
          </Box>
        )}
        {lines.length > 0 && (
          <Box as="ul" marginTop="4px" fontSize="13px" wordBreak="break-word">
            {lines.map(({ field, before, after }) => (
              <li key={field}>
                {field}: <Value text={before} /> → <Value text={after} />
              </li>
            ))}
          </Box>
        )}
      </Box>
    </Box>
  )
}

function Value({ text }: Readonly<{ text: string }>) {
  if (text === '')
    return (
      <Box as="span" color="quiet">
        nothing
      </Box>
    )
  const shown = text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text
  return (
    <Box as="span" fontFamily="mono" whiteSpace="pre-wrap">
      {shown}
    </Box>
  )
}
