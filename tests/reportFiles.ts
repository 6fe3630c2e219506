import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { DELIVERIES, exampleCase, SACKS, UNFINISHED } from '@tests/exampleCase'
import { type ReportFormat, USUAL_OPTIONS } from '@/desk/reportOptions'
import { reportFile } from '@/report/files'
import { reportOf } from '@/report/report'

export const ROOT = process.cwd()
export const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-report-'))
export const content = exampleCase([SACKS, DELIVERIES, UNFINISHED], 'Säcke ≥ 15 kg, μ & σ²')

export async function made(format: ReportFormat, options = USUAL_OPTIONS, of = content): Promise<string> {
  const file = path.join(folder, `report-${Math.random().toString(36).slice(2)}.${format}`)
  writeFileSync(file, await reportFile(await reportOf(of, options), { format, root: ROOT }))
  return file
}

export const poppler = (program: string, ...args: readonly string[]) =>
  execFileSync(program, args, { encoding: 'utf8', maxBuffer: 2 ** 26 })
