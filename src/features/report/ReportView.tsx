import '@/ui/report.css'
import { Box } from '@chakra-ui/react/box'
import type { ReportOptions } from '@/desk/reportOptions'
import { ReportChooser } from './ReportChooser'
import { ReportPart, type ShownPart } from './ReportPart'
import { Main } from '@/ui/Main'

/**
 * The report of a case as it will print.
 *
 * @param css - how it looks, for pictures of its parts
 */
export function ReportView({
  caseId,
  options,
  claimCount,
  parts,
  css,
  lacking,
  mark,
}: Readonly<{
  caseId: string
  options: ReportOptions
  claimCount: number
  parts: readonly ShownPart[]
  css: string
  /** What its PDF lacks, in words. */
  lacking: string
  /** The mark of the office, as HTML; empty where it has none. */
  mark: string
}>) {
  return (
    <Main maxWidth="860px" marginInline="auto" padding="20px 24px 64px" _print={{ padding: 0 }}>
      <ReportChooser caseId={caseId} options={options} claimCount={claimCount} />
      {lacking && (
        <Box role="status" color="finding.contradicted" marginTop="8px" _print={{ display: 'none' }}>
          {lacking}
        </Box>
      )}
      <Box
        className="report"
        marginTop="18px !important"
        border="1px solid"
        borderColor="rule"
        _print={{ border: 0 }}
      >
        {mark && <div dangerouslySetInnerHTML={{ __html: mark }} />}
        {parts.map((part) => (
          <ReportPart key={part.id} part={part} css={css} />
        ))}
      </Box>
    </Main>
  )
}
