import { writeFileSync } from 'node:fs'
import { coverageReport } from './coverage'

writeFileSync(
  'docs/COVERAGE.md',
  coverageReport((line) => console.log(line)),
)
