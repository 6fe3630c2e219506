import { spawn } from 'node:child_process'
import net from 'node:net'
import path from 'node:path'
import { readScaleLine } from '@/intake/scale/line'
import { commandScale, listenToScale, type OverLine } from './scaleLine'

const SCALE = path.resolve(__dirname, '../../../scripts/scale.mjs')

async function freePort(): Promise<number> {
  const server = net.createServer().listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  const { port } = server.address() as net.AddressInfo
  await new Promise((resolve) => server.close(resolve))
  return port
}

async function until(isTrue: () => boolean): Promise<void> {
  for (let tries = 0; !isTrue(); tries += 1) {
    if (tries > 600) throw new Error(`In vain: ${isTrue}`)
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
}

test('what the simulated scale says is heard line by line, also where the line breaks, and it does what it is told', async () => {
  const port = await freePort()
  process.env.TRUE_WEIGHT_SCALE_PORT = String(port)
  const said: OverLine[] = []
  const lines = () => said.flatMap((one) => ('line' in one ? [one.line] : []))
  const end = listenToScale((one) => said.push(one))
  await until(() => said.length > 0)
  expect(said[0]).toEqual({ isThere: false })
  expect(await commandScale({ do: 'tare' })).toMatchObject({ ok: false, problem: { code: 'no-instrument' } })
  const asked = ['--port', `${port}`, '--pace', '900', '--dropouts', '0.5', '--seed', '3', '--unit', 'g']
  const scale = spawn(process.execPath, [SCALE, ...asked, '--mean', '500', '--resolution', '0.1'])
  try {
    await until(
      () => lines().filter((line) => line.startsWith('stable 5') || line.startsWith('stable 4')).length > 20,
    )
    expect(lines().filter((line) => readScaleLine(line).is === 'unknown')).toEqual([])
    expect(lines()[0]).toBe('instrument Simulated scale, resolution 0.1 g')
    expect(said).toContainEqual({ isThere: true })
    // It broke, and was there again.
    await until(() => said.filter((one) => 'isThere' in one && one.isThere).length > 1)
    const before = lines().length
    expect(await commandScale({ do: 'tare' })).toEqual({ ok: true, value: null })
    await until(() =>
      lines()
        .slice(before)
        .some((line) => line.startsWith('tare')),
    )
    expect(await commandScale({ do: 'explode' })).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  } finally {
    end()
    scale.kill()
  }
  const heard = said.length
  await new Promise((resolve) => setTimeout(resolve, 300))
  expect(said).toHaveLength(heard)
}, 60_000)
