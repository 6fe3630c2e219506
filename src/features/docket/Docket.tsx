import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import type { CaseState } from '@/desk/caseWords'
import type { FindingOutcome } from '@/claims/finding'
import type { ClaimWords } from '@/desk/claimDraft'
import { claimTitle } from '@/words/en/claimTitle'
import { formatCount } from '@/words/figures'
import { ClaimMark } from '@/ui/ClaimMark'
import { PageTitle } from '@/ui/PageTitle'
import { ButtonLink } from '@/ui/ButtonLink'
import { DownloadLink } from '@/ui/DownloadLink'
import { TextLink } from '@/ui/TextLink'
import { CaseFileButton } from './CaseFileButton'
import { DocketChooser } from './DocketChooser'
import { addressOf, type DocketChoice, moreWords, STATE_WORDS, dataAddressOf } from './docketView'
import { Main } from '@/ui/Main'
import { ClearDemo } from './DemoCases'
import { Welcome } from './Welcome'

export type DocketEntry = Readonly<{
  id: string
  reference: string
  subject: string
  party: string
  state: CaseState
  openedOn: string
  dueOn: string
  closedOn: string
  updatedAt: Date
  claims: readonly (ClaimWords &
    Readonly<{ id: string; outcome: FindingOutcome | null; isComputing: boolean }>)[]
}>

type Page = Readonly<{
  cases: readonly DocketEntry[]
  /** How many answer the choice, on all its pages. */
  total: number
  pageSize: number
  choice: DocketChoice
}>

/** Of a case with many claims the first ones are shown, and the others told by their findings. */
const CLAIMS_SHOWN = 12

/**
 * Every case, with the finding of each of its claims at a glance.
 *
 * @param demo - how many cases the demo has, and whether any of them are on the docket as they were laid out
 */
export function Docket({
  page,
  isEmpty,
  demo,
}: Readonly<{ page: Page; isEmpty: boolean; demo: Readonly<{ count: number; isLaidOut: boolean }> }>) {
  if (isEmpty) return <Welcome demoCases={demo.count} />
  return (
    <Main maxWidth="1120px" marginInline="auto" padding="28px 24px 64px">
      <Flex align="baseline" marginBottom="14px" gap="12px" wrap="wrap">
        <Box marginRight="auto">
          <PageTitle>Docket</PageTitle>
        </Box>
        <TextLink href="/plans" color="quiet">
          Control plans
        </TextLink>
        <TextLink href="/keys" color="quiet">
          Keys
        </TextLink>
        <TextLink href="/office" color="quiet">
          Office
        </TextLink>
        <CaseFileButton />
        <ButtonLink href="/cases/new">Open a case</ButtonLink>
      </Flex>
      <Found {...page} />
      <ClearDemo isLaidOut={demo.isLaidOut} />
    </Main>
  )
}

function Found({ cases, total, pageSize, choice }: Page) {
  return (
    <>
      <DocketChooser choice={choice} found={total === 1 ? '1 case' : `${formatCount(total)} cases`} />
      {total === 0 ? <NothingFound /> : <CaseList cases={cases} />}
      <Pages choice={choice} count={Math.ceil(total / pageSize)} />
      {total > 0 && (
        <Box as="p" marginTop="14px" color="quiet">
          The findings of {total === 1 ? 'this case' : `these ${formatCount(total)} cases`} as{' '}
          <DownloadLink href={dataAddressOf(choice, 'csv')} textDecoration="underline">
            CSV
          </DownloadLink>{' '}
          or{' '}
          <DownloadLink href={dataAddressOf(choice, 'xlsx')} textDecoration="underline">
            XLSX
          </DownloadLink>
        </Box>
      )}
    </>
  )
}

/** Archived cases are the ones that are most easily missed. */
function NothingFound() {
  return (
    <Box as="p" paddingBlock="18px" borderTop="1px solid" borderColor="rule">
      No case is like that.{' '}
      <TextLink href="/?state=any" color="accent">
        Show every case, archived ones too
      </TextLink>
    </Box>
  )
}

/** The list has the styles of all that is in it: each part that had its own would be sent and styled for itself. */
const CASES = {
  borderBottom: '1px solid',
  borderColor: 'rule',
  '& > li': {
    display: 'grid',
    gridTemplateColumns: { base: '1fr', md: '150px 1fr 1.6fr' },
    gap: '4px 24px',
    alignItems: 'start',
    paddingBlock: '14px',
    borderTop: '1px solid',
    borderColor: 'rule',
  },
  '& .quiet': { color: 'quiet' },
  '& .reference': { fontFamily: 'mono', lineHeight: '26px' },
  '& .dates': { fontSize: '13px', whiteSpace: 'nowrap' },
  '& .more': { paddingBlock: '2px' },
} as const

function CaseList({ cases }: Readonly<{ cases: readonly DocketEntry[] }>) {
  return (
    <Box as="ul" css={CASES} aria-label="Cases">
      {cases.map((entry) => (
        <li key={entry.id}>
          <div className="quiet">
            <div className="reference">{entry.reference || 'No reference'}</div>
            <div className="dates">{datesOf(entry)}</div>
          </div>
          <div>
            <TextLink href={`/cases/${entry.id}`} fontFamily="heading" fontSize="18px">
              {entry.subject || 'Case without a subject'}
            </TextLink>
            <div className="quiet">{entry.party}</div>
          </div>
          <ul>
            {entry.claims.slice(0, CLAIMS_SHOWN).map((claim) => (
              <li key={claim.id}>
                <ClaimMark
                  title={claimTitle(claim)}
                  outcome={claim.outcome}
                  isComputing={claim.isComputing}
                />
              </li>
            ))}
            {entry.claims.length > CLAIMS_SHOWN && (
              <li className="quiet more">{moreWords(entry.claims.slice(CLAIMS_SHOWN))}</li>
            )}
          </ul>
        </li>
      ))}
    </Box>
  )
}

/** The state and the day that goes with it. */
function datesOf({ state, openedOn, dueOn, closedOn }: DocketEntry): string {
  if (state !== 'open') return closedOn ? `${STATE_WORDS[state]}, ${closedOn}` : STATE_WORDS[state]
  if (dueOn) return `open, due ${dueOn}`
  return openedOn ? `open, ${openedOn}` : 'open'
}

function Pages({ choice, count }: Readonly<{ choice: DocketChoice; count: number }>) {
  if (count < 2) return null
  const { page } = choice
  return (
    <Flex as="nav" aria-label="Pages of the docket" gap="18px" marginTop="14px" align="baseline">
      {page > 0 && (
        <TextLink href={addressOf({ ...choice, page: page - 1 })} color="accent">
          Earlier page
        </TextLink>
      )}
      <span>
        Page {page + 1} of {formatCount(count)}
      </span>
      {page + 1 < count && (
        <TextLink href={addressOf({ ...choice, page: page + 1 })} color="accent">
          Next page
        </TextLink>
      )}
    </Flex>
  )
}
