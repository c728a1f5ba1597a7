/** Where a device says that it is. */
export interface DevicePosition {
  readonly lat: number
  readonly lon: number
  /** It may be off by so much, m. */
  readonly accuracyM: number
}

/** What tells where a device is, as the program sees it. */
export interface Locator {
  /** How it is called where it is spoken of. */
  readonly name: string
  /** @throws NoPosition where it cannot say */
  where(): Promise<DevicePosition>
}

/** Why there is no position, for people to read. */
export class NoPosition extends Error {
  override readonly name = 'NoPosition'
}
