import 'server-only'
import * as z from 'zod/mini'
import { faultIn, R87 } from '@/claims/terms/controlPlan'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { addRegisterVersion, listRegister } from '@/data/register'
import { officePlanSchema, type RegisteredPlan } from '@/desk/controlPlan'
import { planFaultWords } from '@/words/en/controlPlanWords'
import { bySchema } from '../doer'
import { newIdentifier } from '../identifier'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { inTransaction } from '../transaction'

/** The office's control plans, as each stands, by name. */
export async function readControlPlans(): Promise<readonly RegisteredPlan[]> {
  const entries = await listRegister(await database(), 'control-plans')
  return entries
    .map(({ words, ...entry }) => ({ ...words, ...entry }))
    .toSorted((a, b) => (a.plan.name < b.plan.name ? -1 : 1))
}

const saving = z.strictObject({ id: z.optional(z.uuid()), words: officePlanSchema, by: bySchema })

/**
 * Puts a control plan on the register, or how it stands now; how it stood before is kept, and so is what claims took over.
 *
 * @param input - `{ id, words, by }`, without an id a new one
 * @returns the problem `invalid`, `control-plan` for one that can't be followed, or `name-taken`
 */
export async function saveControlPlan(input: unknown, now: Date): Promise<Outcome<Readonly<{ id: string }>>> {
  const read = readInput(saving, input)
  if (!read.ok) return read
  const { id = newIdentifier(), words, by } = read.value
  const fault = faultIn(words.plan)
  if (fault)
    return failure({ code: 'control-plan', path: `plan.${fault.path}`, message: planFaultWords(fault) })
  return inTransaction(await database(), async (transaction) => {
    const others = (await listRegister(transaction, 'control-plans')).filter((one) => one.id !== id)
    const taken = [R87, ...others.map((one) => one.words.plan)].map(({ name }) => plainName(name))
    if (taken.includes(plainName(words.plan.name))) return failure(nameTaken(words.plan.name))
    await addRegisterVersion(transaction, 'control-plans', { id, words, by, now })
    return success({ id })
  })
}

/** Names that a reader would take for one are one. */
const plainName = (name: string) => name.normalize('NFKC').replace(/\s+/g, ' ').trim().toLowerCase()

function nameTaken(name: string) {
  const message = `There is a plan called “${name}” already. A finding names the plan it used, so give this one another name, or change that one.`
  return { code: 'name-taken', path: 'words.plan.name', message }
}
