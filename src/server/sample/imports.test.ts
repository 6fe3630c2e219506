import { asImport, cancelImport } from './imports'

const left = (sampleId: string | null) => ({ ok: true, value: { sampleId } })
const NOTHING = left(null)
const until = (signal: AbortSignal) =>
  new Promise<void>((resolve) => {
    if (signal.aborted) resolve()
    else signal.addEventListener('abort', () => resolve())
  })

test('cancelling waits until the import has ended, and tells what it left', async () => {
  const order: string[] = []
  const import1 = asImport('one', async (signal) => {
    await until(signal)
    order.push('cancelled')
    return undefined
  })
  expect(await cancelImport('one')).toEqual(NOTHING)
  order.push('told')
  await import1
  expect(order).toEqual(['cancelled', 'told'])
})

test('an import that was stored before it could be cancelled says so, also after its end', async () => {
  await asImport('two', async () => 'a sample')
  expect(await cancelImport('two')).toEqual(left('a sample'))
  const late = asImport('three', async (signal) => {
    await until(signal)
    return 'stored meanwhile'
  })
  expect(await cancelImport('three')).toEqual(left('stored meanwhile'))
  await late
})

test('one that failed left nothing, and its failure is told to whoever began it', async () => {
  const failing = asImport('four', () => Promise.reject(new Error('no room')))
  await expect(failing).rejects.toThrow('no room')
  expect(await cancelImport('four')).toEqual(NOTHING)
  expect(await cancelImport('nobody knows')).toEqual(NOTHING)
})
