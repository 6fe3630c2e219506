'use client'

import { clear, createStore, get, set } from 'idb-keyval'
import type { JWK } from 'jose'

/** A key that this browser holds for somebody: its secret half can be used here, and not read. */
export type DeviceKey = Readonly<{ name: string; key: string; publicKey: JWK; privateKey: CryptoKey }>

const store = () => createStore('true-weight', 'keys')
const PLACE = 'own'

export const readDeviceKey = (): Promise<DeviceKey | undefined> => get<DeviceKey>(PLACE, store())
export const keepDeviceKey = (key: DeviceKey): Promise<void> => set(PLACE, key, store())
export const forgetDeviceKey = (): Promise<void> => clear(store())
