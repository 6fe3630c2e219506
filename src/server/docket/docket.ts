import 'server-only'
import {
  type CaseWithClaims,
  countCases,
  type DocketQuestion,
  findCase,
  findCases,
} from '@/data/caseRepository'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'

export type { CaseWithClaims, DocketQuestion }

export async function readDocket(question: DocketQuestion): ReturnType<typeof findCases> {
  return findCases(await database(), question)
}

export async function readCase(id: string): Promise<CaseWithClaims | undefined> {
  return isIdentifier(id) ? findCase(await database(), id) : undefined
}

/** Whether there is any case at all. */
export async function hasCases(): Promise<boolean> {
  return (await countCases(await database())) > 0
}
