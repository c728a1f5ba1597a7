import { addPhoto, photosOf, removePhoto } from '../session/device-photos'
import type { PhotoRow } from '../session/device-database'
import { usePerson } from '../stores/person'
import { useTripStore } from '../stores/trip'
import { onScopeDispose, ref, shallowRef } from 'vue'

/** Of a photo so many points across are kept: enough to see which bolt it was. */
const mostPx = 1600

/** A photo as it is shown. */
export interface ShownPhoto {
  readonly row: PhotoRow
  readonly address: string
}

/** The photos of the trip that is open; they are on this device alone. */
export function usePhotos() {
  const store = useTripStore()
  const { person } = usePerson()
  const photos = shallowRef<readonly ShownPhoto[]>([])
  const fault = ref('')
  const whose = () => ({ person: person.value?.id ?? '', trip: store.id })

  function letGo() {
    for (const { address } of photos.value) URL.revokeObjectURL(address)
  }
  async function look(): Promise<void> {
    const rows = await photosOf(whose()).catch(() => [])
    letGo()
    photos.value = rows.map((row) => ({ row, address: URL.createObjectURL(row.picture) }))
  }
  void look()
  onScopeDispose(letGo)

  /** @returns whether it is kept */
  async function add(entry: string, file: Blob): Promise<boolean> {
    fault.value = ''
    try {
      const row = { ...whose(), id: crypto.randomUUID(), entry, takenAt: Date.now(), picture: await shrunk(file) }
      await addPhoto(row)
      await look()
      return true
    } catch {
      fault.value = 'The photo could not be kept: no room on this device, or no picture. What you wrote is kept.'
      return false
    }
  }
  async function remove({ row }: ShownPhoto): Promise<void> {
    await removePhoto(row)
    await look()
  }
  return { photos, fault, add, remove }
}

async function shrunk(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, mostPx / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale))
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 })
}
