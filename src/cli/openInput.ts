import { type FileHandle, open } from 'node:fs/promises'
import type { Readable } from 'node:stream'

/** A file to read, or standard input for "-". Throws a message for people where the file can't be read. */
export async function openInput(file: string): Promise<Readable> {
  return file === '-' ? process.stdin : (await openFile(file)).createReadStream()
}

/** Opens a file. Throws a message for people where it can't be read. */
export async function openFile(file: string): Promise<FileHandle> {
  try {
    const handle = await open(file)
    if ((await handle.stat()).isDirectory()) throw new Error('it is a folder')
    return handle
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException
    const reason = code === 'ENOENT' ? 'there is no such file' : message
    throw new Error(`${file} cannot be read: ${reason}. Name a file, or - for standard input.`, {
      cause: error,
    })
  }
}

/** The whole of a file. Throws a message for people where it can't be read. */
export async function readWhole(file: string): Promise<Uint8Array> {
  const handle = await openFile(file)
  try {
    return await handle.readFile()
  } finally {
    await handle.close()
  }
}
