import type { Child } from './children'

/** So often in so many minutes a server that dies is started again; one that dies more often will not stay up. */
export const most = { restarts: 5, minutes: 10 } as const

export interface Server {
  readonly child: Child
  readonly stop: () => Promise<void>
}

interface Upkeep {
  /** Hears that it went down and is being started again. */
  readonly onRestart: () => void
  /** Hears, once, that it is not started any more. */
  readonly onGivingUp: (last: unknown) => void
}

/** Keeps a server running: it is started again when it dies, after a pause that grows, unless it dies too often. */
export class Keeper<S extends Server> {
  private readonly deaths: number[] = []
  private isStopping = false
  private pause: NodeJS.Timeout | undefined
  private restarting: Promise<void> = Promise.resolve()

  private constructor(
    public current: S,
    private readonly again: (before: S) => Promise<S>,
    private readonly upkeep: Upkeep,
  ) {
    this.watch()
  }

  /** @param start starts it; from the second time on, knowing the one that died */
  static async start<S extends Server>(start: (before?: S) => Promise<S>, upkeep: Upkeep): Promise<Keeper<S>> {
    return new Keeper(await start(), start, upkeep)
  }

  private watch(): void {
    void this.current.child.gone.then(() => this.restart(undefined))
  }

  private restart(reason: unknown): void {
    if (this.isStopping) return
    const now = Date.now()
    this.deaths.push(now)
    const lately = this.deaths.filter((at) => now - at < most.minutes * 60_000)
    if (lately.length > most.restarts) {
      this.isStopping = true
      this.upkeep.onGivingUp(reason)
      return
    }
    this.upkeep.onRestart()
    const pauseMs = lately.length === 1 ? 0 : 500 * 2 ** (lately.length - 2)
    this.pause = setTimeout(() => {
      this.restarting = this.again(this.current).then(
        (next) => {
          this.current = next
          if (this.isStopping) return next.stop()
          this.watch()
          return undefined
        },
        (error: unknown) => this.restart(error),
      )
    }, pauseMs)
  }

  /** Stops it for good. */
  async stop(): Promise<void> {
    this.isStopping = true
    clearTimeout(this.pause)
    await this.restarting
    await this.current.stop()
  }
}
