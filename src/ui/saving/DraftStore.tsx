'use client'

import { createContext, useContext } from 'react'
import type { Outcome } from '@/claims/terms/outcome'
import { fetchOutcome, putOutcome } from './fetchOutcome'

/** Where drafts are kept: `read` and `write` answer as the routes of the server do, and undefined where nothing answers. */
export type DraftStore = Readonly<{
  read: <T>(address: string) => Promise<Outcome<T> | undefined>
  write: <T>(address: string, change: unknown) => Promise<Outcome<T> | undefined>
  /** Whether pages that the server makes show what is kept here, and so are read again after a change. */
  isShownByServer: boolean
}>

const Context = createContext<DraftStore>({ read: fetchOutcome, write: putOutcome, isShownByServer: true })

/** Keeps the drafts of the parts inside elsewhere than on the server. */
export const DraftStoreProvider = Context

export const useDraftStore = (): DraftStore => useContext(Context)
