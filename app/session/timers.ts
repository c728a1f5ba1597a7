/** Time as a session sees it, so that a test can have its own. */
export interface Timers {
  now(): number
  /** @returns calls it off */
  after(ms: number, run: () => void): () => void
}

export const browserTimers: Timers = {
  now: () => Date.now(),
  after(ms, run) {
    const timer = setTimeout(run, ms)
    return () => clearTimeout(timer)
  },
}

/** Runs once things have been calm for a while, and at the latest some time after the first call. */
export class Pause {
  private since: number | undefined
  private callOff: () => void = () => undefined

  constructor(
    private readonly timers: Timers,
    private readonly calmMs: number,
    private readonly mostMs: number,
    private readonly run: () => void,
  ) {}

  begin(): void {
    const now = this.timers.now()
    this.since ??= now
    this.callOff()
    this.callOff = this.timers.after(Math.max(0, Math.min(this.calmMs, this.since + this.mostMs - now)), () => {
      this.since = undefined
      this.run()
    })
  }

  end(): void {
    this.callOff()
    this.since = undefined
  }
}
