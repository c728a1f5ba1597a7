import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { SignInLimiter, signInLimits, SignUpLimiter, TooMany } from '../../server/accounts/limits'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

const minutes = (n: number) => vi.advanceTimersByTime(n * 60_000)

describe('tries to sign in', () => {
  it('are forgotten after a quarter of an hour, and how long that still is is said', async () => {
    const limiter = new SignInLimiter()
    for (let i = 0; i < signInLimits.fromOne; i++) await limiter.attempt('a@quern.example', 'here')
    minutes(5)
    await expect(limiter.attempt('a@quern.example', 'here')).rejects.toThrow(new TooMany(600))
    minutes(10)
    await expect(limiter.attempt('a@quern.example', 'here')).resolves.toBeDefined()
  })

  it('that were right count for nothing, however many there are', async () => {
    const limiter = new SignInLimiter()
    for (let i = 0; i < 500; i++) await (await limiter.attempt('a@quern.example', 'here')).right()
    await expect(limiter.attempt('a@quern.example', 'here')).resolves.toBeDefined()
  })

  it('of a known device count for it alone', async () => {
    const limiter = new SignInLimiter()
    for (let i = 0; i < signInLimits.fromOne; i++) await limiter.attempt('a@quern.example', 'here')
    await expect(limiter.attempt('a@quern.example', 'here', 'laptop')).resolves.toBeDefined()
    await expect(limiter.attempt('a@quern.example', 'here', 'phone')).resolves.toBeDefined()
    await expect(limiter.attempt('a@quern.example', 'here')).rejects.toThrow(TooMany)
  })
})

it('accounts opened from one address are bounded by the hour', async () => {
  const limiter = new SignUpLimiter(2)
  await limiter.attempt('here')
  await limiter.attempt('here')
  await expect(limiter.attempt('here')).rejects.toThrow('try again in 60 minutes')
  await expect(limiter.attempt('there')).resolves.toBeUndefined()
  minutes(60)
  await expect(limiter.attempt('here')).resolves.toBeUndefined()
})
