import 'server-only'
import { hashOf } from '@/casefile/followsSamples'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { findSample } from '@/data/sampleRepository'
import { isIdentifier } from '../identifier'
import { database } from '../keeping/database'
import { originalOf } from '../packed'
import { notFound } from '../problems'

/**
 * The file that a sample was brought in from, as it was handed in.
 *
 * @returns the problem `not-found`, `file-not-kept`, or `file-altered` where it is not the one that was brought in
 */
export async function readKeptFile(
  sampleId: string,
): Promise<Outcome<Readonly<{ name: string; bytes: AsyncIterable<Uint8Array> }>>> {
  const db = await database()
  const sample = isIdentifier(sampleId) ? await findSample(db, sampleId) : undefined
  if (!sample?.file) return failure(notFound('sample', sampleId))
  const { fileName, fileSha256 } = sample.file
  const first = await originalOf(db, sampleId)
  if (!first) {
    const message = `The file ${fileName} was not kept: what was read of it is here, and its hash.`
    return failure({ code: 'file-not-kept', path: 'sampleId', message })
  }
  const hash = await hashOf(first)
  if (hash === fileSha256) return success({ name: fileName, bytes: (await originalOf(db, sampleId))! })
  const seen = hash === '' ? 'is damaged' : `has the SHA-256 ${hash}`
  const message = `What is kept of the file ${fileName} ${seen}, and ${fileSha256} was brought in: it was altered.`
  return failure({ code: 'file-altered', path: 'sampleId', message })
}
