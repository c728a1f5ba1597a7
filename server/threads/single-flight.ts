/** Long work that several ask for at the same time is done once, and all have what comes of it. */
export class SingleFlight<T> {
  private readonly underWay = new Map<string, Promise<T>>()

  /** @param key says what is asked for: whatever is asked for under one key comes to the same */
  do(key: string, work: () => Promise<T>): Promise<T> {
    const known = this.underWay.get(key)
    if (known) return known
    const flight = work().finally(() => this.underWay.delete(key))
    this.underWay.set(key, flight)
    return flight
  }
}
