import { drawFile } from '@/server/draw/drawFile'
import { answerWith, download } from '@/server/programs/answer'

/** Units of a lot drawn by a seed: `?draw={"lotSize":960,"count":30,"seed":7}&format=csv`, or `pdf` for a sheet to fill in. */
export async function GET(request: Request) {
  const { searchParams } = new URL(request.url)
  // Said twice it is two texts, and no draw.
  const asked = Object.fromEntries(
    [...searchParams.keys()].map((name) => [name, searchParams.getAll(name).join(' ')]),
  )
  const file = await drawFile(asked, new Date())
  return file.ok ? download(file.value) : answerWith(file)
}
