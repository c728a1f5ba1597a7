import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Child } from '../../scripts/children'
import { Keeper, most, type Server } from '../../scripts/keeper'

/** A server that dies when a test says so. */
class FakeServer implements Server {
  die: () => void = () => undefined
  isStopped = false
  readonly child: Child

  constructor(readonly number: number) {
    const gone = new Promise<number | null>((resolve) => (this.die = () => resolve(1)))
    this.child = { gone } as Child
  }
  stop(): Promise<void> {
    this.isStopped = true
    this.die()
    return Promise.resolve()
  }
}

const onRestart = vi.fn()
const onGivingUp = vi.fn()
let started: FakeServer[]
const start = (): Promise<FakeServer> => {
  const server = new FakeServer(started.length)
  started.push(server)
  return Promise.resolve(server)
}
beforeEach(() => {
  started = []
  onRestart.mockReset()
  onGivingUp.mockReset()
  vi.useFakeTimers()
})
afterEach(() => void vi.useRealTimers())

const keep = (how: (before?: FakeServer) => Promise<FakeServer> = start) => Keeper.start(how, { onRestart, onGivingUp })
/** Kills the server that runs now and waits. */
async function dieAndWait(ms: number): Promise<void> {
  started.at(-1)?.die()
  await vi.advanceTimersByTimeAsync(ms)
}

describe('a server that is kept', () => {
  it('is started again when it dies, at once the first time and later with pauses that grow', async () => {
    const keeper = await keep()
    await dieAndWait(0)
    expect(keeper.current.number).toBe(1)
    for (const [i, pauseMs] of [500, 1000, 2000, 4000].entries()) {
      await dieAndWait(pauseMs - 1)
      expect(keeper.current.number).toBe(i + 1)
      await vi.advanceTimersByTimeAsync(1)
      expect(keeper.current.number).toBe(i + 2)
    }
    expect(onRestart).toHaveBeenCalledTimes(5)
    expect(onGivingUp).not.toHaveBeenCalled()
  })

  it('is left down when it dies too often', async () => {
    await keep()
    for (let i = 0; i <= most.restarts; i++) await dieAndWait(60_000)
    expect(onGivingUp).toHaveBeenCalledTimes(1)
    await vi.advanceTimersByTimeAsync(3_600_000)
    expect(started).toHaveLength(1 + most.restarts)
  })

  it('may die now and then for ever', async () => {
    await keep()
    for (let i = 0; i < 40; i++) await dieAndWait(((most.minutes + 0.1) * 60_000) / most.restarts)
    expect(onGivingUp).not.toHaveBeenCalled()
    expect(started).toHaveLength(41)
  })

  it('that cannot be started again counts as dying again, and the last reason is told', async () => {
    const failing = (before?: FakeServer) => (before ? Promise.reject(new Error('no room on the disk')) : start())
    await keep(failing)
    await dieAndWait(60_000)
    expect(onRestart).toHaveBeenCalledTimes(most.restarts)
    expect(onGivingUp).toHaveBeenCalledWith(new Error('no room on the disk'))
  })

  it('stays down once it is stopped, also where that is while it is being started again', async () => {
    const keeper = await keep()
    await keeper.stop()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(started).toHaveLength(1)

    let goOn: () => void = () => undefined
    const slow = async (before?: FakeServer) => {
      if (before) await new Promise<void>((resolve) => (goOn = resolve))
      return start()
    }
    const other = await keep(slow)
    await dieAndWait(0)
    const stopped = other.stop()
    goOn()
    await stopped
    expect(started).toHaveLength(3)
    expect(started[2]?.isStopped).toBe(true)
    expect(onGivingUp).not.toHaveBeenCalled()
  })
})
