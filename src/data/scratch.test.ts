import { mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Scratch } from './scratch'

const folder = mkdtempSync(path.join(tmpdir(), 'scratch-test-'))

test('what is appended is read back from the place that was told, and nothing stands beyond it', () => {
  const scratch = new Scratch(folder)
  expect(scratch.append(Uint8Array.of(1, 2, 3))).toBe(0)
  expect(scratch.append(Uint8Array.of())).toBe(3)
  expect(scratch.append(Uint8Array.of(4, 5))).toBe(3)
  expect([...scratch.read(1, 3)]).toEqual([2, 3, 4])
  expect([...scratch.read(0, 5)]).toEqual([1, 2, 3, 4, 5])
  expect([...scratch.read(5, 0)]).toEqual([])
  expect(() => scratch.read(3, 3)).toThrow('5 bytes are there, not 6')
  scratch.close()
})

test('it has no name that would outlive the process, and once it is closed nobody reads or writes', () => {
  const scratch = new Scratch(folder)
  scratch.append(Uint8Array.of(1))
  expect(readdirSync(folder)).toEqual([])
  scratch.close()
  scratch.close()
  expect(() => scratch.read(0, 1)).toThrow('closed')
  expect(() => scratch.append(Uint8Array.of(1))).toThrow('closed')
})

test('room is asked for before anything is written', () => {
  const asked: number[] = []
  const scratch = new Scratch(folder, (bytes) => {
    asked.push(bytes)
    if (bytes > 2) throw new Error('no room')
  })
  scratch.append(Uint8Array.of(1, 2))
  expect(() => scratch.append(Uint8Array.of(3, 4, 5))).toThrow('no room')
  expect(scratch.append(Uint8Array.of(6))).toBe(2)
  expect(asked).toEqual([2, 3, 1])
  scratch.close()
})
