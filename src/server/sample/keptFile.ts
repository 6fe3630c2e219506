import 'server-only'
import { createHash } from 'node:crypto'
import { promisify } from 'node:util'
import { gunzip, gzip } from 'node:zlib'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { readPackedFile } from '@/data/fileRepository'
import type { Connection } from '@/data/client'
import { findSample } from '@/data/sampleRepository'
import { MAX_BYTES } from '@/intake/sheet/sheetProblems'
import { isIdentifier } from '../identifier'
import { database } from '../keeping/database'
import { notFound } from '../problems'

/** Quick enough for a large file; a higher one makes files little smaller. */
const LEVEL = 3

/** A file as it is kept: compressed, beside the work of others. */
export const packFile = (bytes: Uint8Array): Promise<Uint8Array> => promisify(gzip)(bytes, { level: LEVEL })

/** The file that a sample was brought in from, byte for byte; undefined where it was not kept. */
export async function originalOf(db: Connection, sampleId: string): Promise<Uint8Array | undefined> {
  const packed = await readPackedFile(db, sampleId)
  return packed && promisify(gunzip)(packed, { maxOutputLength: MAX_BYTES })
}

/**
 * The file that a sample was brought in from, as it was handed in.
 *
 * @returns the problem `not-found`, `file-not-kept`, or `file-altered` where it is not the one that was brought in
 */
export async function readKeptFile(
  sampleId: string,
): Promise<Outcome<Readonly<{ name: string; bytes: Uint8Array }>>> {
  const db = await database()
  const sample = isIdentifier(sampleId) ? await findSample(db, sampleId) : undefined
  if (!sample?.file) return failure(notFound('sample', sampleId))
  const { fileName, fileSha256 } = sample.file
  const bytes = await originalOf(db, sampleId).catch(() => new Uint8Array(0))
  if (!bytes) {
    const message = `The file ${fileName} was not kept: what was read of it is here, and its hash.`
    return failure({ code: 'file-not-kept', path: 'sampleId', message })
  }
  const hash = createHash('sha256').update(bytes).digest('hex')
  if (hash === fileSha256) return success({ name: fileName, bytes })
  const message = `What is kept of the file ${fileName} has the SHA-256 ${hash}, and ${fileSha256} was brought in: it was altered.`
  return failure({ code: 'file-altered', path: 'sampleId', message })
}
