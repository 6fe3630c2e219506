import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import type { ReactNode } from 'react'
import type { ChainedEntry, ChainVerdict } from '@/desk/trail/chain'
import { changeOver } from '@/desk/trail/change'
import { formatCount } from '@/words/figures'
import {
  ACTION_WORDS,
  changeLines,
  instantWords,
  NOBODY_NAMED,
  spanWords,
  verdictWords,
} from '@/words/en/trailWords'
import { runsOf } from '@/ui/oneGo'
import { PageTitle } from '@/ui/PageTitle'
import { TextLink } from '@/ui/TextLink'
import { TrailChooser } from './TrailChooser'
import { type TrailChoice, trailQuery } from './trailChoice'
import { Main } from '@/ui/Main'

const IDENTIFIER = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g

type Subjects = Readonly<Record<string, string>>
type Change = Pick<ChainedEntry, 'before' | 'after'>

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
  record,
}: Readonly<{
  caseId: string
  entries: readonly ChainedEntry[]
  total: number
  verdict: ChainVerdict
  choice: TrailChoice
  pageSize: number
  /** The claims and samples of the case, each with its name. */
  subjects: Subjects
  /** What of the case is not what its trail comes to. */
  record: ReactNode
}>) {
  const pages = Math.ceil(total / pageSize)
  const { page } = choice
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Trail</PageTitle>
      <Box
        marginTop="8px"
        role="status"
        wordBreak="break-word"
        color={verdict.holds ? 'finding.supported' : 'finding.contradicted'}
      >
        {verdictWords(verdict)}
      </Box>
      {record}
      <TrailChooser
        choice={choice}
        subjects={subjects}
        found={total === 1 ? '1 entry' : `${formatCount(total)} entries`}
      />
      <Box as="ol" aria-label="Trail" borderBottom="1px solid" borderColor="rule">
        {runsOf(entries).flatMap((run) => {
          const change = run.length > 1 && changeOver(run.toReversed())
          return change
            ? [<Run key={run[0]!.id} run={run} change={change} subjects={subjects} />]
            : run.map((entry) => <Entry key={entry.id} entry={entry} subjects={subjects} />)
        })}
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
    </Main>
  )
}

function Entry({ entry, subjects }: Readonly<{ entry: ChainedEntry; subjects: Subjects }>) {
  return (
    <Numbered number={String(entry.number)}>
      <Said entry={entry} when={instantWords(entry.at)} subjects={subjects} />
      {/* What a plan comes to its entry says in words. */}
      {entry.action !== 'planned' && <Changes change={entry} subjects={subjects} />}
    </Numbered>
  )
}

/** What was typed in one go, as one change; each step of it when it is asked for. */
function Run({
  run,
  change,
  subjects,
}: Readonly<{ run: readonly ChainedEntry[]; change: Change; subjects: Subjects }>) {
  const [last, first] = [run[0]!, run.at(-1)!]
  return (
    <Numbered number={`${first.number} to ${last.number}`}>
      <Said entry={last} when={spanWords(first.at, last.at)} subjects={subjects} />
      <Changes change={change} subjects={subjects} />
      <Box as="details" marginTop="4px">
        <Box as="summary" cursor="pointer" color="brass">
          stored in {run.length} steps
        </Box>
        <Box as="ol">
          {run.map((entry) => (
            <Numbered key={entry.id} number={String(entry.number)}>
              <Box color="quiet">{instantWords(entry.at)}</Box>
              <Changes change={entry} subjects={subjects} />
            </Numbered>
          ))}
        </Box>
      </Box>
    </Numbered>
  )
}

function Numbered({ number, children }: Readonly<{ number: string; children: ReactNode }>) {
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns="84px 1fr"
      paddingBlock="10px"
      borderTop="1px solid"
      borderColor="rule"
    >
      <Box fontFamily="mono" color="quiet">
        {number}
      </Box>
      <Box minWidth="0">{children}</Box>
    </Box>
  )
}

function Said({
  entry: { who, action, detail, claimId, sampleId },
  when,
  subjects,
}: Readonly<{ entry: ChainedEntry; when: string; subjects: Subjects }>) {
  const about = detail || subjects[claimId ?? sampleId ?? '']
  return (
    <>
      <Box>
        <strong>{who || NOBODY_NAMED}</strong> {ACTION_WORDS[action]}.{' '}
        <Box as="span" color="quiet">
          {when}
        </Box>
      </Box>
      {about && (
        <Box color="quiet" wordBreak="break-word">
          {about}
        </Box>
      )}
    </>
  )
}

function Changes({ change, subjects }: Readonly<{ change: Change; subjects: Subjects }>) {
  const named = (text: string) => text.replace(IDENTIFIER, (id) => subjects[id] ?? id)
  const lines = changeLines(change)
  if (lines.length === 0) return null
  return (
    <Box as="ul" marginTop="4px" fontSize="13px" wordBreak="break-word">
      {lines.map(({ field, before, after }) => (
        <li key={field}>
          {field}: <Value text={named(before)} /> → <Value text={named(after)} />
        </li>
      ))}
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
