import { onDisk, openDeviceDatabase, type Person } from './device-database'

/*
 * Whose device this is, as the browser's database keeps it. The page's local storage says the same and is quicker to
 * read, but a browser writes that to the disk some seconds later only: a battery that goes flat takes it along.
 */

const key = 'person'

export async function rememberPerson(person: Person, name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    const tx = db.transaction('person', 'readwrite', onDisk)
    await Promise.all([tx.store.put(person, key), tx.done])
  } finally {
    db.close()
  }
}

export async function recallPerson(name?: string): Promise<Person | undefined> {
  const db = await openDeviceDatabase(name)
  try {
    return await db.get('person', key)
  } finally {
    db.close()
  }
}

export async function forgetPerson(name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    await db.delete('person', key)
  } finally {
    db.close()
  }
}
