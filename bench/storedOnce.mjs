// One file brought in and tested by a process of its own, whose most memory meanwhile is then known: the file's path is the only
// argument.
import { readFileSync, writeFileSync } from 'node:fs'
import { setTimeout } from 'node:timers/promises'
import { timesOfStore, withStore } from './stored.mjs'

const measured = await withStore(async (store) => {
  // Making the database took more than a small file does, which is let go of: from here on it is counted anew.
  await setTimeout(2000)
  writeFileSync('/proc/self/clear_refs', '5')
  let megabytes
  const times = await timesOfStore(store, process.argv[2], 7, () => {
    const [, kilobytes] = /VmHWM:\s+(\d+)/.exec(readFileSync('/proc/self/status', 'utf8'))
    megabytes = kilobytes / 1024
  })
  return { ...times, megabytes }
})
process.stdout.write(JSON.stringify(measured), () => process.exit(0))
