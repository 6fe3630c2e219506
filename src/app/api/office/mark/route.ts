import { takeOfficeFile } from '@/server/office/takeOfficeFile'

const MAX_BYTES = 2 * 1024 * 1024

/** Gives reports the mark of the office, a PNG file, which is the body; `by` says who does it. */
export const PUT = (request: Request) =>
  takeOfficeFile(request, { name: 'mark', type: 'image/png', maxBytes: MAX_BYTES })
