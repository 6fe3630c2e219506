'use client'

import { differing } from '@/answers/differing'
import { canonicalJson } from '@/desk/canonicalJson'
import type { LockedPlan } from '@/desk/lockedPlan'
import { enteredByOf, type FindingStatement } from '@/desk/signature'
import { sha256 } from '@/workers/sha256'
import { signStatement } from './deviceKey'
import type { DeviceKey } from './keyStore'

/** What the server would have signed: a text, and the statement about it. */
type ToSign = Readonly<{ signed: string; statement: FindingStatement }>

/** What is before the eyes of whoever signs. */
export type Seen = Readonly<{
  inputFingerprint: string
  result: unknown
  signedBy: string
  /** Who works at this browser. */
  by: string
  signedOn: string
  /** Why it replaces the one that was signed before; empty where there is none, or no reason. */
  reason: string
}>

/**
 * Signs a finding with a key, if what the server would have signed is what is seen.
 *
 * @returns a compact JWS; undefined where it is something else
 */
export async function signWithKey(
  own: DeviceKey,
  { signed, statement }: ToSign,
  seen: Seen,
): Promise<string | undefined> {
  const { claim, document, result, signedBy, enteredBy, signedOn, replaces } = JSON.parse(
    signed,
  ) as Readonly<{
    claim: Readonly<{ draft: Readonly<{ remarks: string }> }>
    document: unknown
    result: unknown
    signedBy: string
    enteredBy?: string
    signedOn: string
    replaces?: Readonly<{ reason: string }>
  }>
  const input = canonicalJson({ document, remarks: claim.draft.remarks })
  const isSeen =
    (await sha256(signed)) === statement.finding &&
    (await sha256(input)) === seen.inputFingerprint &&
    // The server computes by another engine than the browser, whose last digits are other ones.
    differing(result, seen.result).length === 0 &&
    signedBy === seen.signedBy &&
    enteredBy === enteredByOf(seen) &&
    signedOn === seen.signedOn &&
    (replaces?.reason ?? '') === seen.reason
  return isSeen ? signStatement(own, statement) : undefined
}

/** The same of a plan. */
export async function signPlanWithKey(
  own: DeviceKey,
  { signed, statement }: ToSign,
  seen: LockedPlan,
): Promise<string | undefined> {
  const isSeen =
    (await sha256(signed)) === statement.finding && differing(JSON.parse(signed), seen).length === 0
  return isSeen ? signStatement(own, statement) : undefined
}
