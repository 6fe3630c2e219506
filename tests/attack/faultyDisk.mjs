// Loaded before a program (node --import): a disk that forgets, when the power is cut, whatever was not synced, and that can be
// full. FAULTY_DISK holds { root, seed, cutAfter, armed: 'at-once' | 'once-it-speaks', keeps, room, fillsAfter }: `cutAfter` operations
// that change something the power goes; of what was not synced each write is kept with the chance `keeps`;
// `room` bytes are free, until somebody else takes what is left after `fillsAfter` operations.
import fs from 'node:fs'
import { syncBuiltinESMExports } from 'node:module'
import path from 'node:path'

const {
  root,
  seed = 1,
  cutAfter = Infinity,
  armed,
  keeps = 0,
  room,
  fillsAfter = Infinity,
} = JSON.parse(process.env.FAULTY_DISK)
const real = { ...fs }
const graves = `${root}.graves`
real.mkdirSync(graves, { recursive: true })

let state = seed >>> 0
const random = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32

/** What would be undone by a cut: { keys: what makes it lasting when it is synced, isWrite, undo }. */
const records = new Set()
const remember = (keys, undo, isWrite = false) => records.add({ keys, undo, isWrite })
const settle = (key) => {
  for (const record of records) if (record.keys.includes(key)) records.delete(record)
}
const isOurs = (place) =>
  typeof place === 'string' && (place === root || place.startsWith(`${root}${path.sep}`))
const dirOf = (place) => `dir ${path.dirname(place)}`
const inoOf = (stat) => `file ${stat.ino}`
let graveCount = 0
const bury = (place) => {
  const grave = path.join(graves, `${process.pid}-${(graveCount += 1)}`)
  real.linkSync(place, grave)
  return grave
}

/** Of each file a handle that can be read and written whatever becomes of its name. */
const handles = new Map()
const handleOf = (place, stat) => {
  const known = handles.get(stat.ino)
  if (known !== undefined) return known
  const opened = real.openSync(place, 'r+')
  handles.set(stat.ino, opened)
  return opened
}
const opened = new Map()

let isArmed = armed === 'at-once'
let operations = 0
let [used, taken] = [0, 0]
const tick = () => {
  if (!isArmed) return
  operations += 1
  if (operations === fillsAfter) taken = Math.max(0, left())
  if (operations < cutAfter) return
  // Undoing changes something itself.
  isArmed = false
  for (const { undo, isWrite } of [...records].reverse()) {
    if (isWrite && random() < keeps) continue
    try {
      undo()
    } catch {
      // What it belongs to was undone before.
    }
  }
  process.kill(process.pid, 'SIGKILL')
}
if (armed === 'once-it-speaks') {
  const { write } = process.stdout
  process.stdout.write = (...args) => {
    isArmed = true
    return write.apply(process.stdout, args)
  }
}

const left = () => (room === undefined ? Infinity : room - used - taken)
const full = (syscall) =>
  Object.assign(new Error(`ENOSPC: no space left on device, ${syscall}`), {
    code: 'ENOSPC',
    errno: -28,
    syscall,
  })

/** Bytes as they stand in a part of a file. */
const partOf = (handle, from, length, size) => {
  const bytes = Buffer.alloc(Math.max(0, Math.min(length, size - from)))
  real.readSync(handle, bytes, 0, bytes.length, from)
  return bytes
}
const putBack = (handle, bytes, from, size) => () => {
  real.writeSync(handle, bytes, 0, bytes.length, from)
  real.ftruncateSync(handle, size)
}
const shorten = (place, stat, length) => {
  const handle = handleOf(place, stat)
  const kept = partOf(handle, length, stat.size, stat.size)
  remember([inoOf(stat)], putBack(handle, kept, length, stat.size), true)
  used += length - stat.size
}
const created = (place) => {
  const stat = real.statSync(place)
  remember([dirOf(place), inoOf(stat)], () => real.unlinkSync(place))
}

const patched = {
  openSync(place, flags = 'r', ...rest) {
    if (!isOurs(place)) return real.openSync(place, flags, ...rest)
    const before = real.statSync(place, { throwIfNoEntry: false })
    const isTruncating =
      typeof flags === 'string' ? flags.startsWith('w') : (flags & real.constants.O_TRUNC) !== 0
    if (before?.isFile() && isTruncating && before.size > 0) shorten(place, before, 0)
    const file = real.openSync(place, flags, ...rest)
    opened.set(file, place)
    if (!before) {
      created(place)
      tick()
    }
    return file
  },
  closeSync(file) {
    opened.delete(file)
    return real.closeSync(file)
  },
  writeSync(file, buffer, offset = 0, length = buffer.byteLength - offset, position = null) {
    if (!opened.has(file) || typeof buffer === 'string')
      return real.writeSync(file, buffer, offset, length, position)
    const stat = real.fstatSync(file)
    const handle = handleOf(`/proc/self/fd/${file}`, stat)
    // Without a position it goes on where the file ends: nobody here seeks.
    const from = position ?? stat.size
    const growth = Math.max(0, from + length - stat.size)
    const fits = Math.max(0, Math.min(growth, left()))
    const count = length - growth + fits
    if (count <= 0) throw full('write')
    remember([inoOf(stat)], putBack(handle, partOf(handle, from, count, stat.size), from, stat.size), true)
    used += fits
    const written = real.writeSync(file, buffer, offset, count, position)
    tick()
    return written
  },
  writeFileSync(place, data, options) {
    if (!isOurs(place)) return real.writeFileSync(place, data, options)
    const flag = (typeof options === 'object' && options?.flag) || 'w'
    const file = patched.openSync(place, flag, (typeof options === 'object' && options?.mode) || 0o666)
    try {
      const bytes = Buffer.from(data)
      if (bytes.length > 0) patched.writeSync(file, bytes)
    } finally {
      patched.closeSync(file)
    }
  },
  ftruncateSync(file, length = 0) {
    const stat = real.fstatSync(file)
    if (opened.has(file)) shorten(`/proc/self/fd/${file}`, stat, length)
    real.ftruncateSync(file, length)
    tick()
  },
  truncateSync(place, length = 0) {
    if (isOurs(place)) shorten(place, real.statSync(place), length)
    real.truncateSync(place, length)
    tick()
  },
  mkdirSync(place, options) {
    const isNew = isOurs(place) && !real.existsSync(place)
    const made = real.mkdirSync(place, options)
    if (isNew) remember([dirOf(place)], () => real.rmSync(place, { recursive: true, force: true }))
    tick()
    return made
  },
  unlinkSync(place) {
    if (isOurs(place)) {
      const grave = bury(place)
      const stat = real.statSync(place)
      remember([dirOf(place)], () => real.linkSync(grave, place))
      if (stat.nlink <= 2) used -= stat.size
    }
    real.unlinkSync(place)
    tick()
  },
  rmSync(place, options) {
    if (isOurs(place) && real.statSync(place, { throwIfNoEntry: false })?.isFile())
      return patched.unlinkSync(place)
    return real.rmSync(place, options)
  },
  linkSync(from, to) {
    real.linkSync(from, to)
    if (isOurs(to)) remember([dirOf(to)], () => real.unlinkSync(to))
    tick()
  },
  rmdirSync(place) {
    real.rmdirSync(place)
    if (isOurs(place)) remember([dirOf(place)], () => real.mkdirSync(place))
    tick()
  },
  renameSync(from, to) {
    const over = isOurs(to) && real.existsSync(to) && real.statSync(to).isFile() ? bury(to) : undefined
    real.renameSync(from, to)
    if (isOurs(to))
      remember([dirOf(to)], () => {
        real.renameSync(to, from)
        if (over) real.linkSync(over, to)
      })
    tick()
  },
  fsyncSync(file) {
    const place = opened.get(file)
    if (place !== undefined) {
      const stat = real.fstatSync(file)
      settle(stat.isDirectory() ? `dir ${place}` : inoOf(stat))
    }
    tick()
  },
  fdatasyncSync(file) {
    patched.fsyncSync(file)
  },
  statfsSync(place, options) {
    const told = real.statfsSync(place, options)
    if (room === undefined) return told
    return { ...told, bavail: Math.max(0, Math.floor(left() / told.bsize)) }
  },
}
Object.assign(fs, patched)
syncBuiltinESMExports()
