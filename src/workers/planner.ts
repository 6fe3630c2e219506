import { expose } from './link'
import { planning } from './planning'

/** Works plans out away from the page: a size of an exact test is looked for unit by unit, which can take a while. */
const planner = { work: planning }

export type Planner = typeof planner

expose(planner)
