import { docxOf } from './docx'
import type { Report } from './document/document'
import { printFonts, reportCss, webFonts } from './document/fonts'
import { htmlFile } from './html'
import { markdownOf } from './markdown'
import type { DocxTemplate } from '@/desk/office'
import type { ReportFormat } from '@/desk/reportOptions'
import { openFonts, pdfOf } from './pdf/pdf'
import { rasteriser } from './rasterise'

const MAX_NAMED = 20

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

/** What the PDF of a text will lack, in words; empty where it lacks nothing. */
export async function lackingInPdf(text: string, root: string): Promise<string> {
  const letters = openFonts(await printFonts(root)).lacking(text)
  return letters.length === 0
    ? ''
    : `The PDF has no letters for ${letters.slice(0, MAX_NAMED).join(' ')}${letters.length > MAX_NAMED ? ' and others' : ''}: each stands in it as \ufffd. DOCX, HTML and Markdown have them.`
}

/** How a report is made a file. */
export type ReportFileHow = Readonly<{
  format: ReportFormat
  /** The folder that node_modules is in, with the fonts. */
  root: string
  /** Of a DOCX file. */
  template?: DocxTemplate | undefined
}>

/** A report as a file: the same bytes wherever it is made. */
export async function reportFile(
  report: Report,
  { format, root, template }: ReportFileHow,
): Promise<Uint8Array> {
  switch (format) {
    case 'pdf':
      return pdfOf(report, await printFonts(root))
    case 'docx':
      return docxOf(report, await rasteriser(root), template)
    case 'html':
      return new TextEncoder().encode(htmlFile(report, await webFonts(root), await reportCss(root)))
    case 'md':
      return new TextEncoder().encode(markdownOf(report))
    default:
      return format satisfies never
  }
}
