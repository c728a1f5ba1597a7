import { onDisk, openDeviceDatabase, type PhotoRow } from './device-database'

/*
 * Photos of the road. They stay on the device that took them: nothing of them is sent anywhere, and they go with signing out.
 * A trip that is cleared away here to make room for others keeps its photos: there are no others.
 */

type Whose = Pick<PhotoRow, 'person' | 'trip'>
const allOf = ({ person, trip }: Whose) => IDBKeyRange.bound([person, trip], [person, trip, []])

export async function addPhoto(photo: PhotoRow, name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    const tx = db.transaction('photos', 'readwrite', onDisk)
    await Promise.all([tx.store.put(photo), tx.done])
  } finally {
    db.close()
  }
}

/** All photos of a trip, the first taken first. */
export async function photosOf(whose: Whose, name?: string): Promise<PhotoRow[]> {
  const db = await openDeviceDatabase(name)
  try {
    const photos = await db.getAll('photos', allOf(whose))
    return photos.sort((a, b) => a.takenAt - b.takenAt)
  } finally {
    db.close()
  }
}

export async function removePhoto({ person, trip, id }: Whose & Pick<PhotoRow, 'id'>, name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    await db.delete('photos', [person, trip, id])
  } finally {
    db.close()
  }
}

/** Forgets those of a trip that is gone for good. */
export async function forgetPhotosOf(whose: Whose, name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    await db.delete('photos', allOf(whose))
  } finally {
    db.close()
  }
}

/** Those of a trip are those of another from now on: one that was made without an account has come into one. */
export async function handPhotosOn(from: Whose, to: Whose, name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    const tx = db.transaction('photos', 'readwrite', onDisk)
    const photos = await tx.store.getAll(allOf(from))
    await Promise.all([
      ...photos.map((photo) => tx.store.put({ ...photo, person: to.person, trip: to.trip })),
      tx.store.delete(allOf(from)),
      tx.done,
    ])
  } finally {
    db.close()
  }
}

/** Forgets them all. */
export async function forgetPhotos(name?: string): Promise<void> {
  const db = await openDeviceDatabase(name)
  try {
    await db.clear('photos')
  } finally {
    db.close()
  }
}
