/** The part of a JSON Schema that those of the check document use. */
export type JsonSchema = Readonly<{
  type?: string
  const?: unknown
  enum?: readonly unknown[]
  properties?: Readonly<Record<string, JsonSchema>>
  required?: readonly string[]
  items?: JsonSchema
  anyOf?: readonly JsonSchema[]
  oneOf?: readonly JsonSchema[]
  default?: unknown
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  exclusiveMaximum?: number
}>

/** A field as the page has it: what it may be, whether it is needed or its default, and in which kinds of object it stands. */
export type Field = Readonly<{ is: string; need: string; where: string }>

type Found = Readonly<{ is: ReadonlySet<string>; need: ReadonlySet<string>; where: ReadonlySet<string> }>
type FoundFields = ReadonlyMap<string, Found>

/** What tells the branches of a union apart. */
const TELLING = ['kind', 'name', 'way', 'method'] as const

/** Every field of a schema by its path; `[]` stands for any element of a list, `{}` for any name. */
export function fieldsOf(schema: JsonSchema): ReadonlyMap<string, Field> {
  const text = (words: ReadonlySet<string>) => [...words].join(', ')
  return new Map(
    [...foundIn(schema, '')].map(([path, { is, need, where }]) => [
      path,
      { is: text(is), need: need.size > 1 ? 'optional' : text(need), where: [...where].join(', ') },
    ]),
  )
}

function foundIn(schema: JsonSchema, path: string): FoundFields {
  const branches = branchesOf(schema)
  if (branches.length > 1)
    return united(
      branches.map((branch) => ({ label: labelOf(branch), fields: foundIn(branch, path) })),
      path,
    )
  if (schema.items) return foundIn(schema.items, `${path}[]`)
  return new Map(
    Object.entries(schema.properties ?? {}).flatMap(([name, field]) => {
      const at = path === '' ? name : `${path}.${name}`
      const own = {
        is: new Set(typesOf(field)),
        need: new Set([needOf(schema, name)]),
        where: new Set<string>(),
      }
      return [[at, own] as const, ...foundIn(field, at)]
    }),
  )
}

function needOf({ properties, required }: JsonSchema, name: string): string {
  const usual = properties?.[name]?.default
  if (usual !== undefined) return `\`${JSON.stringify(usual)}\``
  return required?.includes(name) ? 'needed' : 'optional'
}

const branchesOf = (schema: JsonSchema): readonly JsonSchema[] =>
  (schema.anyOf ?? schema.oneOf)?.flatMap(branchesOf) ?? [schema]

type Branch = Readonly<{ label: string; fields: FoundFields }>

/** The fields of any of the branches: each with the kinds of branch that it is in, where some of those that could have it have not. */
function united(branches: readonly Branch[], root: string): FoundFields {
  const paths = new Set(branches.flatMap(({ fields }) => [...fields.keys()]))
  return new Map([...paths].map((path) => [path, unitedAt(path, branches, root)]))
}

function unitedAt(path: string, branches: readonly Branch[], root: string): Found {
  const parent = path.replace(/(\[\])?\.?[^.]+$/, '')
  const able = branches.filter(({ fields }) => parent === root.replace(/\[\]$/, '') || fields.has(parent))
  const having = able.filter(({ fields }) => fields.has(path))
  const founds = having.map(({ fields }) => fields.get(path)!)
  const labels = new Set(having.map(({ label }) => label))
  const isTold = able.some(({ label }) => !labels.has(label)) || founds.some(({ where }) => where.size > 0)
  const isSometimes = able.some(({ label, fields }) => labels.has(label) && !fields.has(path))
  return {
    is: new Set(founds.flatMap(({ is }) => [...is])),
    need: isSometimes ? new Set(['optional']) : new Set(founds.flatMap(({ need }) => [...need])),
    where: new Set(
      isTold
        ? having.flatMap(({ label }, at) => (founds[at]!.where.size > 0 ? [...founds[at]!.where] : [label]))
        : [],
    ),
  }
}

/** What tells a branch from the others: the one word that its kind can be. */
function labelOf({ properties = {} }: JsonSchema): string {
  const name = TELLING.find((one) => properties[one]?.const !== undefined)
  return name ? `\`${properties[name]!.const}\`` : ''
}

function typesOf(schema: JsonSchema): readonly string[] {
  const branches = branchesOf(schema)
  if (branches.length > 1) return branches.flatMap(typesOf)
  if (schema.const !== undefined) return [`\`${schema.const}\``]
  if (schema.enum) return schema.enum.map((value) => `\`${value}\``)
  if (schema.items) return [`list of ${typesOf(schema.items).join(' or ')}`]
  if (schema.type === 'number' || schema.type === 'integer') return [numberWords(schema)]
  return [schema.type ?? 'object']
}

function numberWords(schema: JsonSchema): string {
  const { minimum, maximum, exclusiveMinimum, exclusiveMaximum } = schema
  const bounds = [
    isBound(exclusiveMinimum) && `> ${exclusiveMinimum}`,
    isBound(minimum) && `≥ ${minimum}`,
    isBound(exclusiveMaximum) && `< ${exclusiveMaximum}`,
    isBound(maximum) && `≤ ${maximum}`,
  ].filter(Boolean)
  return [schema.type === 'integer' ? 'whole number' : 'number', ...bounds].join(' ')
}

/** Not the range of whole numbers that a double holds, which needs no saying. */
const isBound = (limit: number | undefined) =>
  limit !== undefined && Math.abs(limit) !== Number.MAX_SAFE_INTEGER
