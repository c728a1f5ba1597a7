import { randomUUID } from 'node:crypto'
import { catalogue } from '#catalogue'
import { demoShed, demoTrip } from '#catalogue/demo'
import { readTrip } from '#core/trip'
import { addPerson, findPerson } from '../server/accounts/people'
import { openDatabase } from '../server/db/connection'
import { storedParts } from '../server/db/stored-parts'
import { readShed, saveShed } from '../server/db/shed'
import { createTrip, listTrips } from '../server/db/trips'

export const demoPerson = { name: 'Maren', email: 'maren@quern.example', passwordHash: '' }

/** What makes a server the demo's: it has a door that anybody may step in by. */
export const demoSettings = {
  NUXT_DEMO_EMAIL: demoPerson.email,
  NUXT_PUBLIC_DEMO: 'true',
  // Whoever tries things out opens one account after another.
  NUXT_SIGN_UPS_PER_HOUR: '100000',
}

/** Puts the demo rider, their shed and the demo trip in, unless they are there. */
export async function seedDemo(url: string): Promise<void> {
  const { db, close } = openDatabase(url)
  try {
    const person = (await findPerson(db, demoPerson.email)) ?? (await addPerson(db, demoPerson))
    if (person && (await listTrips(db, person.id)).length === 0) {
      await createTrip(db, person.id, storedParts(readTrip(demoTrip(), catalogue)))
    }
    if (person && (await readShed(db, person.id)).length === 0) {
      const changes = demoShed.map((thing) => ({ id: thing.id, base: '', thing }))
      await saveShed(db, person.id, randomUUID(), changes)
    }
  } finally {
    await close()
  }
}
