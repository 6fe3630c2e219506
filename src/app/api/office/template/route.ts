import { takeOfficeFile } from '@/server/office/takeOfficeFile'

/** More than a file has whose text and pictures were taken out. */
const MAX_BYTES = 8 * 1024 * 1024

/** Gives the DOCX files of reports the styles of a DOCX or DOTX file, which is the body; `by` says who does it. */
export const PUT = (request: Request) =>
  takeOfficeFile(request, { name: 'template', type: 'application/octet-stream', maxBytes: MAX_BYTES })
