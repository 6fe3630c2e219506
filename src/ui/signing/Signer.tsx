'use client'

import { Flex } from '@chakra-ui/react/flex'
import { FieldLabel } from '../FieldLabel'
import { type ReactNode, useState } from 'react'
import { calendarDay } from '@/intake/reading/date'
import { keyWords } from '@/words/en/signatureWords'
import { useOfficer } from '../officer'
import { TextBox } from '../TextBox'
import { TextLink } from '../TextLink'
import type { DeviceKey } from './keyStore'
import { useDeviceKey } from './useDeviceKey'

/** Who signs, on which day, and with which key of this device; without one by name. */
export type SignerState = Readonly<{
  name: string
  setName: (name: string) => void
  /** The name of whoever works at this browser, which the trail has beside it. */
  officer: string
  /** Where nobody is named to work here, it is who signs. */
  nameWorker: () => void
  day: string
  setDay: (day: string) => void
  key: DeviceKey | undefined
}>

export function useSigner(): SignerState {
  const [officer, setOfficer] = useOfficer()
  const [typed, setTyped] = useState<string>()
  const name = typed ?? officer
  const [day, setDay] = useState(() => calendarDay(new Date()))
  const { own } = useDeviceKey()
  const key = own && own.name === name.trim() ? own : undefined
  const nameWorker = () => officer === '' && setOfficer(name)
  return { name, setName: setTyped, officer, nameWorker, day, setDay, key }
}

/** Where that is typed, beside what signs. */
export function Signer({
  signer: { name, setName, nameWorker, day, setDay, key },
  children,
}: Readonly<{ signer: SignerState; children?: ReactNode }>) {
  return (
    <>
      <Flex gap="14px" align="end" wrap="wrap">
        <FieldLabel>
          Signed by
          <TextBox
            aria-label="Signed by"
            value={name}
            maxLength={500}
            onChange={(event) => setName(event.target.value)}
            onBlur={nameWorker}
          />
        </FieldLabel>
        <FieldLabel>
          On
          <TextBox
            aria-label="Signed on"
            type="date"
            value={day}
            onChange={(event) => setDay(event.target.value)}
          />
        </FieldLabel>
        {children}
      </Flex>
      <Flex gap="12px" color="quiet" fontSize="13px" marginTop="4px">
        <span>
          {key
            ? `You sign with the key ${keyWords(key.key)} of this device.`
            : 'You sign by name, without a key.'}
        </span>
        <TextLink href="/keys" color="accent">
          Keys
        </TextLink>
      </Flex>
    </>
  )
}
