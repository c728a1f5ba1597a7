import { ofetch } from 'ofetch'
import { vi } from 'vitest'
import { fetchServer } from '../../app/session/fetch-server'
import { MemoryOutbox } from '../../app/session/memory-outbox'
import { browserTimers } from '../../app/session/timers'
import { TripSessions } from '../../app/session/trip-sessions'
import { loneWindow } from '../../app/session/windows'

/** Has the app's own way to the server go to an address that may change, as one person. */
export function goTo(address: () => string, cookie: () => string): void {
  vi.stubGlobal('$fetch', (path: string, options: object) =>
    ofetch(path, { ...options, baseURL: address(), headers: { cookie: cookie() }, retry: 0 }),
  )
}

/** The sessions of a device of its own, over the network and by the real clock. */
export function newDevice(): TripSessions {
  return new TripSessions(
    {
      outbox: new MemoryOutbox(),
      server: fetchServer(''),
      windows: loneWindow,
      timers: browserTimers,
      newId: () => crypto.randomUUID(),
    },
    () => undefined,
  )
}
