import 'server-only'
import { cache } from 'react'
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

/** Read once for a page, however many of its parts ask. */
export const readCase = cache(async (id: string): Promise<CaseWithClaims | undefined> =>
  isIdentifier(id) ? findCase(await database(), id) : undefined,
)

/** Whether there is any case at all. */
export async function hasCases(): Promise<boolean> {
  return (await countCases(await database())) > 0
}
