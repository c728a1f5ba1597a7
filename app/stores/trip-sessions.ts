import { forgetPhotos } from '../session/device-photos'
import { fetchServer } from '../session/fetch-server'
import { guest } from '../session/guest'
import { IndexedDbOutbox } from '../session/indexed-db-outbox'
import { forgetKeptChoices } from '../session/kept-choices'
import { MemoryOutbox } from '../session/memory-outbox'
import { OwnTrips } from '../session/own-trips'
import { browserTimers } from '../session/timers'
import { TripSessions } from '../session/trip-sessions'
import { BrowserWindows, loneWindow } from '../session/windows'
import { usePerson } from './person'
import { wipeShed } from './shed'

let current: { readonly person: string; readonly sessions: Promise<TripSessions> } | undefined

/** The sessions of whoever this device belongs to, opened once for each person. */
export function useTripSessions(): Promise<TripSessions> {
  const { person, forget } = usePerson()
  const id = person.value?.id ?? ''
  if (current?.person !== id) {
    void current?.sessions.then((sessions) => sessions.end())
    current = {
      person: id,
      sessions: openSessions(id, () => {
        current = undefined
        void forget()
      }),
    }
  }
  return current.sessions
}

/** Signs out on this device: nothing stays of the person's trips, in any window. */
export async function wipeDevice(): Promise<void> {
  const sessions = await useTripSessions()
  current = undefined
  await wipeShed()
  forgetKeptChoices()
  // A browser that keeps no database has none of them.
  await forgetPhotos().catch(() => undefined)
  await sessions.wipe()
  await usePerson().forget()
}

async function openSessions(person: string, signedOut: () => void): Promise<TripSessions> {
  const outbox = await IndexedDbOutbox.open(person).catch(() => new MemoryOutbox())
  return new TripSessions(
    {
      outbox,
      server: person === guest.id ? new OwnTrips() : fetchServer(person),
      windows: outbox.lasts ? new BrowserWindows(person) : loneWindow,
      timers: browserTimers,
      newId: () => crypto.randomUUID(),
    },
    signedOut,
  )
}
