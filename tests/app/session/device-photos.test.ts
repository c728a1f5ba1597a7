import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import {
  addPhoto,
  forgetPhotos,
  forgetPhotosOf,
  handPhotosOn,
  photosOf,
  removePhoto,
} from '../../../app/session/device-photos'
import { IndexedDbOutbox } from '../../../app/session/indexed-db-outbox'

const photo = (fields: object) => ({
  person: 'maren',
  trip: 't',
  id: 'a',
  entry: 'e',
  takenAt: 1,
  picture: new Blob(['a picture']),
  ...fields,
})
const idsOf = async (whose: { person: string; trip: string }) => (await photosOf(whose, 'photos')).map(({ id }) => id)

describe('photos', () => {
  it('are there for the trip and the person that they are of, the first taken first, until one takes them away', async () => {
    await addPhoto(photo({ id: 'second', takenAt: 2 }), 'photos')
    await addPhoto(photo({ id: 'first' }), 'photos')
    await addPhoto(photo({ id: 'other', trip: 'u' }), 'photos')
    await addPhoto(photo({ id: 'theirs', person: 'ansel' }), 'photos')
    expect(await idsOf({ person: 'maren', trip: 't' })).toEqual(['first', 'second'])
    await removePhoto(photo({ id: 'first' }), 'photos')
    expect(await idsOf({ person: 'maren', trip: 't' })).toEqual(['second'])
    await forgetPhotos('photos')
    for (const whose of [
      { person: 'maren', trip: 't' },
      { person: 'maren', trip: 'u' },
      { person: 'ansel', trip: 't' },
    ])
      expect(await idsOf(whose)).toEqual([])
  })

  it('go with a trip that is gone for good, and come along with one that comes into an account', async () => {
    await addPhoto(photo({ id: 'a' }), 'photos')
    await addPhoto(photo({ id: 'b', trip: 'u' }), 'photos')
    await handPhotosOn({ person: 'maren', trip: 't' }, { person: 'ansel', trip: 'v' }, 'photos')
    expect(await idsOf({ person: 'maren', trip: 't' })).toEqual([])
    expect(await photosOf({ person: 'ansel', trip: 'v' }, 'photos')).toMatchObject([
      { id: 'a', entry: 'e', takenAt: 1 },
    ])
    await forgetPhotosOf({ person: 'ansel', trip: 'v' }, 'photos')
    expect(await idsOf({ person: 'ansel', trip: 'v' })).toEqual([])
    expect(await idsOf({ person: 'maren', trip: 'u' })).toEqual(['b'])
    await forgetPhotos('photos')
  })

  it('outlast a trip that is cleared away to make room', async () => {
    await addPhoto(photo({}), 'room')
    const outbox = await IndexedDbOutbox.open('maren', 'room')
    await outbox.forget('t')
    expect((await photosOf({ person: 'maren', trip: 't' }, 'room')).map(({ id }) => id)).toEqual(['a'])
    outbox.close()
  })
})
