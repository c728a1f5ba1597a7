import { catalogue } from '#catalogue'
import { demoTrip } from '#catalogue/demo'
import { readTrip } from '#core/trip'
import { addPerson, findPerson } from '../server/accounts/people'
import { openDatabase } from '../server/db/connection'
import { storedParts } from '../server/db/stored-parts'
import { createTrip, listTrips } from '../server/db/trips'

export const demoPerson = { name: 'Maren', email: 'maren@quern.example', passwordHash: '' }

/** What makes a server the demo's: it has a door that anybody may step in by. */
export const demoSettings = {
  NUXT_DEMO_EMAIL: demoPerson.email,
  NUXT_PUBLIC_DEMO: 'true',
  // Whoever tries things out opens one account after another.
  NUXT_SIGN_UPS_PER_HOUR: '100000',
}

/** Puts the demo rider and the demo trip in, unless they are there. */
export async function seedDemo(url: string): Promise<void> {
  const { db, close } = openDatabase(url)
  try {
    const person = (await findPerson(db, demoPerson.email)) ?? (await addPerson(db, demoPerson))
    if (person && (await listTrips(db, person.id)).length === 0) {
      await createTrip(db, person.id, storedParts(readTrip(demoTrip(), catalogue)))
    }
  } finally {
    await close()
  }
}
