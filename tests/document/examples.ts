import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'

/** A function that a file exports, and the example in its docstring: what is called, and what comes out. */
export type Exported = Readonly<{
  file: string
  name: string
  example?: Readonly<{ call: string; result: string }>
}>

/** Every function that the sources below a folder export. */
export function exportedFunctions(folder: string): readonly Exported[] {
  return sourcesBelow(folder).flatMap((file) => {
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
    return source.statements.filter(isExported).flatMap((statement) =>
      namesOf(statement).map((name) => {
        const example = exampleOf(statement)
        return { file, name, ...(example ? { example } : {}) }
      }),
    )
  })
}

export const sourcesBelow = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => path.join(folder, file))
    .sort()

const isExported = (statement: ts.Statement) =>
  ts.canHaveModifiers(statement) &&
  (ts.getModifiers(statement) ?? []).some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)

/** The functions that a statement declares; a constant that is no plain value may be one. */
function namesOf(statement: ts.Statement): readonly string[] {
  if (ts.isFunctionDeclaration(statement)) return statement.name ? [statement.name.text] : []
  if (!ts.isVariableStatement(statement)) return []
  return statement.declarationList.declarations
    .filter(({ initializer }) => initializer && isMade(initializer))
    .map(({ name }) => name.getText())
}

const isMade = (value: ts.Expression) => ts.isArrowFunction(value) || ts.isCallExpression(value)

function exampleOf(statement: ts.Statement): Exported['example'] {
  const [tag] = ts.getJSDocTags(statement).filter(({ tagName }) => tagName.text === 'example')
  const text = ts.getTextOfJSDocComment(tag?.comment)
  const told = text && /^([^]*?)\s*\/\/ ([^]*)$/.exec(text)
  if (!told) return undefined
  return { call: told[1]!, result: told[2]!.replace(/\n\s*\/\/ ?/g, ' ') }
}
