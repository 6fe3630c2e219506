import { sql } from 'drizzle-orm'
import { customType, text, timestamp } from 'drizzle-orm/pg-core'

export const instant = (name: string) => timestamp(name, { withTimezone: true })
export const bytea = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' })
/** A text as a person typed it, empty at first. */
export const typed = (name: string) => text(name).notNull().default('')

export function oneOf(column: string, values: readonly string[]) {
  return sql.raw(`"${column}" in (${values.map((value) => `'${value}'`).join(', ')})`)
}
