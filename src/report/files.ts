import type { CaseContent } from '@/casefile/content'
import { docxOf } from './docx'
import { printFonts, reportCss, webFonts } from './fonts'
import { htmlFile } from './html'
import { markdownOf } from './markdown'
import type { ReportFormat, ReportOptions } from '@/core/report/options'
import { openFonts, pdfOf } from './pdf/pdf'
import { rasteriser } from './rasterise'
import { reportOf } from './report'

export const MEDIA_TYPES: Readonly<Record<ReportFormat, string>> = {
  pdf: 'application/pdf',
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  html: 'text/html; charset=utf-8',
  md: 'text/markdown; charset=utf-8',
}

/** Opens the fonts that reports are set in, which takes longer than to set a page: before anybody waits for it. */
export async function prepareReports(root: string): Promise<void> {
  openFonts(await printFonts(root))
}

/**
 * The report of a case as a file: the same bytes wherever it is made.
 *
 * @param root - the folder that node_modules is in, with the fonts
 */
export async function reportFile(
  content: CaseContent,
  options: ReportOptions,
  { format, root }: Readonly<{ format: ReportFormat; root: string }>,
): Promise<Uint8Array> {
  const report = await reportOf(content, options)
  switch (format) {
    case 'pdf':
      return pdfOf(report, await printFonts(root))
    case 'docx':
      return docxOf(report, await rasteriser(root))
    case 'html':
      return new TextEncoder().encode(htmlFile(report, await webFonts(root), await reportCss(root)))
    case 'md':
      return new TextEncoder().encode(markdownOf(report))
    default:
      return format satisfies never
  }
}
