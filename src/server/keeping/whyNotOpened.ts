import 'server-only'

const REASONS: Readonly<Record<string, string>> = {
  EEXIST: 'it is a file and not a folder',
  ENOTDIR: 'a part of its path is a file and not a folder',
  EACCES: 'this is not allowed to whoever runs the server',
  EPERM: 'this is not allowed to whoever runs the server',
  EROFS: 'its disk can only be read',
  ENOSPC: 'its disk is full',
  ENAMETOOLONG: 'its path is too long',
}

/** Why the data can't be had, in a sentence, and what would do. */
export function whyNotOpened(error: unknown): string {
  const { name, code, message } = error as Readonly<{ name?: string; code?: string; message?: string }>
  if (name === 'FolderInUse' || name === 'DiskFull') return message!
  const words = message || code || String(error)
  if (process.env.DATABASE_URL)
    return `The PostgreSQL server in DATABASE_URL can't be used: ${words}. It has to run, to be reached from here, and to let this user make tables in this database.`
  const place = `The data folder ${process.env.TRUE_WEIGHT_DATA}`
  const reason = REASONS[code ?? '']
  if (reason) return `${place} can't be used: ${reason}. Give another folder with --data.`
  return `${place} can't be opened: ${words}. If its files are damaged, start with another folder (--data) and restore a backup there.`
}
