import 'server-only'
import { type CaseWithClaims, findCase, listCases } from '@/data/caseRepository'
import { database } from './database'
import { isIdentifier } from './identifier'

export type { CaseWithClaims }

export async function readDocket(): Promise<readonly CaseWithClaims[]> {
  return listCases(await database())
}

export async function readCase(id: string): Promise<CaseWithClaims | undefined> {
  return isIdentifier(id) ? findCase(await database(), id) : undefined
}
