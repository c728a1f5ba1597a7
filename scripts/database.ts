import { migrate } from 'drizzle-orm/mysql2/migrator'
import { catalogue } from '../catalogue'
import { demoTrip } from '../catalogue/demo'
import { readTrip } from '../core/trip'
import { addPerson, findPerson } from '../server/accounts/people'
import { openDatabase } from '../server/db/connection'
import { keptParts } from '../server/db/kept'
import { createTrip, listTrips } from '../server/db/trips'

/** Brings the tables of a database to what this version needs. */
export async function migrateDatabase(url: string): Promise<void> {
  const { db, close } = openDatabase(url)
  try {
    await migrate(db, { migrationsFolder: 'server/db/migrations' })
  } finally {
    await close()
  }
}

export const demoPerson = { name: 'Maren', email: 'maren@quern.example', passwordHash: '' }

/** Puts the demo rider and the demo trip in, unless they are there. */
export async function seedDemo(url: string): Promise<void> {
  const { db, close } = openDatabase(url)
  try {
    const person = (await findPerson(db, demoPerson.email)) ?? (await addPerson(db, demoPerson))
    if (person && (await listTrips(db, person.id)).length === 0) {
      await createTrip(db, person.id, keptParts(readTrip(demoTrip(), catalogue)))
    }
  } finally {
    await close()
  }
}
