// Every bench by its name.
import { measureCore } from './core.mjs'
import { measureDesk } from './desk.mjs'
import { measureDrop } from './drop.mjs'
import { measureExamination } from './examination.mjs'
import { measureGroups } from './groups.mjs'
import { measureGrowth } from './growth.mjs'
import { measureKeystroke } from './keystroke.mjs'
import { measureLoad } from './load.mjs'
import { measureMemory } from './memory.mjs'
import { measureReading } from './reading.mjs'
import { measureSheet } from './sheet.mjs'
import { measureSize } from './size.mjs'
import { measureStart } from './start.mjs'
import { measureStored } from './stored.mjs'
import { measureVisit } from './visit.mjs'

export const BENCHES = {
  core: measureCore,
  examination: measureExamination,
  groups: measureGroups,
  growth: measureGrowth,
  reading: measureReading,
  sheet: measureSheet,
  stored: measureStored,
  desk: measureDesk,
  load: measureLoad,
  visit: measureVisit,
  memory: measureMemory,
  drop: measureDrop,
  start: measureStart,
  keystroke: measureKeystroke,
  size: measureSize,
}
