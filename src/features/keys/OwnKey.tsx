'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { FieldLabel } from '@/ui/FieldLabel'
import { useId, useState } from 'react'
import type { RegisteredKey } from '@/desk/trail/keyRegister'
import { Button, QuietButton } from '@/ui/Button'
import { useOfficer } from '@/ui/officer'
import { type DeviceKey, forgetDeviceKey, keepDeviceKey } from '@/ui/signing/keyStore'
import {
  makeDeviceKey,
  makeKeyFile,
  readKeyFile,
  SHORTEST_PASSPHRASE,
  signStatement,
} from '@/ui/signing/deviceKey'
import { useDeviceKey } from '@/ui/signing/useDeviceKey'
import { TextBox } from '@/ui/TextBox'
import { enter } from './actions'

const Note = chakra('p', { base: { marginTop: '6px', color: 'quiet', maxWidth: '72ch' } })

const NO_KEYS_HERE =
  'This page came over a network without HTTPS: browsers make and keep no keys for such a page. Open it on the machine that serves it, or ask whoever runs the server for an address that begins with https://.'

type Work = (what: () => Promise<string | undefined>) => Promise<void>

/** The key of whoever works at this browser: made here, brought in from its file, entered on the register, taken away. */
export function OwnKey({ keys }: Readonly<{ keys: readonly RegisteredKey[] }>) {
  const { own, reload } = useDeviceKey()
  const [problem, setProblem] = useState('')
  const [isBusy, setBusy] = useState(false)
  const problemId = useId()
  /** Does something, and shows what kept it from being done. */
  const work: Work = async (what) => {
    setBusy(true)
    try {
      setProblem((await what()) ?? '')
    } catch (error) {
      setProblem(`This browser could not do it: ${error instanceof Error ? error.message : String(error)}.`)
    }
    reload()
    setBusy(false)
  }
  return (
    <Box
      as="section"
      aria-labelledby="own-key"
      marginTop="24px"
      aria-describedby={problem ? problemId : undefined}
    >
      <Box as="h2" id="own-key" fontFamily="heading" fontSize="20px">
        On this device
      </Box>
      {own === undefined && <Note>Looking for a key …</Note>}
      {own === null && !window.isSecureContext && <Note>{NO_KEYS_HERE}</Note>}
      {own === null && window.isSecureContext && <NewKey work={work} isBusy={isBusy} />}
      {own && <Held own={own} keys={keys} work={work} isBusy={isBusy} />}
      {problem && (
        <Box id={problemId} role="alert" color="finding.contradicted" marginTop="8px" maxWidth="72ch">
          {problem}
        </Box>
      )}
    </Box>
  )
}

function Held({
  own,
  keys,
  work,
  isBusy,
}: Readonly<{ own: DeviceKey; keys: readonly RegisteredKey[]; work: Work; isBusy: boolean }>) {
  const known = keys.find(({ key }) => key === own.key)
  const standing = !known
    ? 'It is not on the register yet, and stands for nobody.'
    : known.until
      ? 'It was withdrawn: nothing is signed with it any more.'
      : 'It is on the register.'
  return (
    <>
      <Box as="p" marginTop="6px">
        This browser holds a key of {own.name}:{' '}
        <chakra.span fontFamily="mono" fontSize="13px" wordBreak="break-all">
          {own.key}
        </chakra.span>
        . {standing}
      </Box>
      <Flex gap="10px" marginTop="10px" wrap="wrap">
        {!known && (
          <Button type="button" disabled={isBusy} onClick={() => work(() => entered(own))}>
            Enter it on the register
          </Button>
        )}
        <QuietButton type="button" disabled={isBusy} onClick={() => work(() => forgotten(own))}>
          Take it off this device
        </QuietButton>
      </Flex>
    </>
  )
}

function NewKey({ work, isBusy }: Readonly<{ work: Work; isBusy: boolean }>) {
  const [officer, setOfficer] = useOfficer()
  const [passphrase, setPassphrase] = useState('')
  const [file, setFile] = useState<File>()
  const name = officer.trim()
  const isShort = passphrase.length < SHORTEST_PASSPHRASE
  return (
    <>
      <Note>
        This browser holds no key. Make one for yourself, or bring in the file of one that you have.
      </Note>
      <Flex gap="14px" align="end" wrap="wrap" marginTop="10px">
        <FieldLabel>
          Your name
          <TextBox
            aria-label="Name of the holder"
            value={officer}
            maxLength={500}
            onChange={({ target }) => setOfficer(target.value)}
          />
        </FieldLabel>
        <Button type="button" disabled={isBusy || name === ''} onClick={() => work(() => made(name))}>
          Make a key for this device alone
        </Button>
      </Flex>
      <Note>
        For several devices a key is kept in a file under a passphrase of at least {SHORTEST_PASSPHRASE}{' '}
        characters. Whoever has both can sign in your name.
      </Note>
      <Flex gap="14px" align="end" wrap="wrap" marginTop="6px">
        <FieldLabel>
          Passphrase
          <TextBox
            aria-label="Passphrase"
            type="password"
            autoComplete="new-password"
            value={passphrase}
            onChange={({ target }) => setPassphrase(target.value)}
          />
        </FieldLabel>
        <QuietButton
          type="button"
          disabled={isBusy || name === '' || isShort}
          onClick={() => work(() => madeWithFile(name, passphrase))}
        >
          Make a key with a file
        </QuietButton>
      </Flex>
      <Note>To bring one in, write the passphrase of its file above and name the file.</Note>
      <Flex gap="14px" align="end" wrap="wrap" marginTop="6px">
        <FieldLabel>
          File of a key
          <input
            type="file"
            aria-label="File of a key"
            onChange={({ target }) => setFile(target.files?.[0])}
          />
        </FieldLabel>
        <QuietButton
          type="button"
          disabled={isBusy || !file || passphrase === ''}
          onClick={() => work(() => broughtIn(file!, passphrase, setOfficer))}
        >
          Bring the key in
        </QuietButton>
      </Flex>
    </>
  )
}

async function made(name: string): Promise<string | undefined> {
  return heldAndEntered(await makeDeviceKey(name))
}

async function madeWithFile(name: string, passphrase: string): Promise<string | undefined> {
  const { own, file } = await makeKeyFile(name, passphrase)
  const problem = await heldAndEntered(own)
  if (problem !== undefined) return problem
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([file], { type: 'application/jose' }))
  link.download = `key of ${name}.jwe`
  link.click()
  URL.revokeObjectURL(link.href)
  return undefined
}

/** Held before it is entered, so that none is on the register that nobody has; one that is refused is held by nobody. */
async function heldAndEntered(own: DeviceKey): Promise<string | undefined> {
  await keepDeviceKey(own)
  const problem = await entered(own)
  if (problem !== undefined) await forgetDeviceKey()
  return problem
}

const LARGEST_FILE = 20_000

async function broughtIn(
  file: File,
  passphrase: string,
  setOfficer: (name: string) => void,
): Promise<string | undefined> {
  const own = file.size > LARGEST_FILE ? undefined : await readKeyFile(await file.text(), passphrase)
  if (!own) return `${file.name} can't be opened: it is no file of a key, or its passphrase is another.`
  await keepDeviceKey(own)
  // A key signs in its own name.
  setOfficer(own.name)
  return undefined
}

/** The key says of itself whose it is; the register keeps that. */
async function entered(own: DeviceKey): Promise<string | undefined> {
  const { name, key } = own
  const statement = { kind: 'true-weight-key', name, key, at: new Date().toISOString() } as const
  const outcome = await enter(await signStatement(own, statement))
  return outcome.ok ? undefined : outcome.problem.message
}

async function forgotten({ name }: DeviceKey): Promise<undefined> {
  const question = `Take the key of ${name} off this device? Without its file it can't be had again.`
  if (window.confirm(question)) await forgetDeviceKey()
}
