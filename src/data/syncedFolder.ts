import 'server-only'
import { closeSync, fsyncSync, mkdirSync, openSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { NodeFS } from '@electric-sql/pglite/nodefs'
import type { DiskSpace } from './diskSpace'

/** What of the database's module is asked for here: the part of it that keeps files in a folder of this machine's. */
type Module = Readonly<{
  NODEFS: {
    stream_ops: {
      fsync?: (stream: Stream) => number
      write: Write
    }
    node_ops: { setattr: (node: unknown, attributes: Readonly<{ mode?: number }>) => void }
    realPath: (node: unknown) => string
    tryFSOperation: <T>(operation: () => T) => T
  }
}>
type Stream = Readonly<{ nfd?: number; node: unknown }>
type Write = (stream: Stream, buffer: unknown, offset: number, length: number, position: number) => number

/** The folder of the database's log. */
const LOG = `${path.sep}pg_wal${path.sep}`
/** ENOSPC, as the database's module counts errors: those of WASI. */
const NO_SPACE = 51
const isFull = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && (error as { errno?: unknown }).errno === NO_SPACE

/**
 * Writes all that is to be written. Where the disk fills up in the middle of a change the reserve makes room for the log, without
 * which the database can't even take the change back; a table that can't grow only ends the change.
 */
function writingWhole({ stream_ops: { write }, realPath }: Module['NODEFS'], space: DiskSpace): Write {
  const isLog = ({ node }: Stream) => realPath(node).includes(LOG)
  return (stream, buffer, offset, length, position) => {
    let [done, isReleased] = [0, false]
    while (done < length) {
      try {
        done += write(stream, buffer, offset + done, length - done, position + done)
      } catch (error) {
        if (!isFull(error)) throw error
        if (isReleased || !isLog(stream)) {
          if (done > 0) return done
          throw error
        }
        space.release()
        isReleased = true
      }
    }
    return done
  }
}

/** The database sets some modes itself, past the umask. */
function ownersAlone(setattr: Module['NODEFS']['node_ops']['setattr']): typeof setattr {
  return (node, { mode, ...others }) =>
    setattr(node, mode === undefined ? others : { ...others, mode: mode & ~0o077 })
}

/** Opened for reading, so that a folder's entries can be synced too. */
export function syncPath(place: string): void {
  const file = openSync(place, 'r')
  try {
    fsyncSync(file)
  } finally {
    closeSync(file)
  }
}

/** Copies a folder with all that is in it; what is made is open to whom the umask leaves it open. */
export function copyTree(from: string, to: string): void {
  mkdirSync(to)
  for (const entry of readdirSync(from, { withFileTypes: true })) {
    const [original, copy] = [path.join(from, entry.name), path.join(to, entry.name)]
    if (entry.isDirectory()) copyTree(original, copy)
    else writeFileSync(copy, readFileSync(original))
  }
}

/** Puts a folder on the disk with all that is in it, and its own name. */
export function syncTree(folder: string): void {
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true }))
    if (entry.isFile() || entry.isDirectory()) syncPath(path.join(entry.parentPath, entry.name))
  syncPath(folder)
  syncPath(path.dirname(folder))
}

/** A folder on this machine whose files are on the disk once the database asks for it: PGlite's own leaves that out. */
class SyncedFolder extends NodeFS {
  constructor(
    folder: string,
    readonly space: DiskSpace,
  ) {
    super(folder)
  }

  override async init(...[client, options]: Parameters<NodeFS['init']>) {
    const { emscriptenOpts } = await super.init(client, options)
    const { space } = this
    const withSync = ({ NODEFS }: Module) => {
      NODEFS.node_ops.setattr = ownersAlone(NODEFS.node_ops.setattr)
      NODEFS.stream_ops.write = writingWhole(NODEFS, space)
      NODEFS.stream_ops.fsync = ({ nfd, node }) => {
        NODEFS.tryFSOperation(() => (nfd === undefined ? syncPath(NODEFS.realPath(node)) : fsyncSync(nfd)))
        return 0
      }
    }
    const preRun = [emscriptenOpts.preRun ?? [], withSync].flat() as typeof emscriptenOpts.preRun
    return { emscriptenOpts: { ...emscriptenOpts, preRun } }
  }
}

/**
 * PGlite starts PostgreSQL with -F, which turns fsync off; its fdatasync, the usual way to sync the log, does nothing. A quarter
 * of the usual buffers makes no import slower, since the machine keeps files in memory too, and holds 100 MB less.
 */
const START = [
  ...PGlite.defaultStartParams.filter((parameter) => parameter !== '-F'),
  ...['-c', 'wal_sync_method=fsync', '-c', 'shared_buffers=32MB'],
]

/**
 * A database whose commits are on the disk when they return.
 *
 * @param folder - an absolute path; its parent exists
 * @param space - gives its reserve where the disk fills up in the middle of a change
 */
export async function openSynced(folder: string, space: DiskSpace): Promise<PGlite> {
  const client = new PGlite({ fs: new SyncedFolder(folder, space), startParams: START })
  await client.waitReady
  return client
}
