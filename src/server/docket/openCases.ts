import 'server-only'
import { storedText } from '@/desk/typed'
import { readDocket } from './docket'

const SHOWN = 6

/** The open cases that hold a text, those that changed last first; of a text that is none, all of them. */
export async function openCasesLike(
  text: unknown,
): Promise<readonly Readonly<{ id: string; reference: string; subject: string }>[]> {
  const read = storedText(200).safeParse(text)
  const { cases } = await readDocket({
    ...(read.success && read.data.trim() !== '' ? { text: read.data.trim() } : {}),
    ...{ state: 'open', order: 'changed', direction: 'falling', page: 0, pageSize: SHOWN },
  })
  return cases.map(({ id, reference, subject }) => ({ id, reference, subject }))
}
