'use client'

import { useCallback, useEffect, useState } from 'react'
import { type DeviceKey, readDeviceKey } from './keyStore'

/** The key that this browser holds; null where it holds none, undefined while that is looked up. */
export function useDeviceKey(): Readonly<{ own: DeviceKey | null | undefined; reload: () => void }> {
  const [own, setOwn] = useState<DeviceKey | null>()
  const reload = useCallback(() => {
    readDeviceKey().then(
      (found) => setOwn(found ?? null),
      () => setOwn(null),
    )
  }, [])
  useEffect(reload, [reload])
  return { own, reload }
}
