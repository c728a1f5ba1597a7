import type { Trip } from '#core/trip'
import { vi } from 'vitest'
import { useTripSessions } from '../../app/stores/trip-sessions'
import { useTripStore } from '../../app/stores/trip'
import { FakeDevice, FakeServer, FakeTimers, FakeWindow } from '../fake-world'

/** Opens a trip in the store, from a server that has it; `useTripSessions` must be mocked. */
export async function openTrip(trip: Trip) {
  const server = new FakeServer()
  server.begin('t', trip)
  const timers = new FakeTimers()
  const { sessions } = new FakeWindow(new FakeDevice(), server, timers)
  vi.mocked(useTripSessions).mockResolvedValue(sessions)
  const store = useTripStore()
  await store.open('t')
  return { store, server, timers }
}
