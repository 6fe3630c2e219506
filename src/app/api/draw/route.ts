import { drawFile } from '@/server/draw/drawFile'
import { answerWith, download } from '@/server/programs/answer'

/** Units of a lot drawn by a seed: `?lotSize=960&count=30&seed=7&format=csv`, or `pdf` for a sheet to fill in. */
export async function GET(request: Request) {
  const file = await drawFile(Object.fromEntries(new URL(request.url).searchParams), new Date())
  return file.ok ? download(file.value) : answerWith(file)
}
