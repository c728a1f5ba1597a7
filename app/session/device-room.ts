/** So much room at least a trip wants, with what is written of it on the road, bytes. Planning value. */
const wanted = 20 * 1024 * 1024

/** What a device says of keeping things. */
export interface DeviceRoom {
  /** Whether the browser has promised not to clear it away by itself; unknown where it says nothing of that. */
  readonly stays: boolean | undefined
  readonly isLow: boolean
}

/** Asks the browser not to clear away by itself what is kept, and how much room there is; some say nothing of either. */
export async function askForRoom(): Promise<DeviceRoom> {
  const { storage } = navigator as { storage?: Partial<StorageManager> }
  const stays = await storage?.persist?.().catch(() => undefined)
  const estimate = await storage?.estimate?.().catch(() => undefined)
  const left = estimate?.quota === undefined ? Infinity : estimate.quota - (estimate.usage ?? 0)
  return { stays, isLow: left < wanted }
}
