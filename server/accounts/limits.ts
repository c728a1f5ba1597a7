import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'

/** Tries in so many minutes: for an account from one address, from one address, for an account from all addresses. */
export const signInLimits = { fromOne: 6, perAddress: 30, perAccount: 100, minutes: 15 } as const

/** Letters that are written in an hour: for one account, and for whoever asks from one address. */
export const letterLimits = { perAccount: 3, perAddress: 20 } as const

/** Somebody has tried too often. */
export class TooMany extends Error {
  constructor(readonly seconds: number) {
    super(`Too many attempts; try again in ${inMinutes(seconds)}.`)
  }
}

const inMinutes = (seconds: number) => (seconds < 90 ? 'a minute' : `${Math.ceil(seconds / 60)} minutes`)

interface Subject {
  readonly limiter: RateLimiterMemory
  readonly key: string
}

/** An attempt that has been counted. */
export interface Attempt {
  /** It was right: it does not count, nor do those before it that were somebody's own mistakes. */
  right(): Promise<void>
}

/**
 * Slows down guessing, without letting anybody lock anybody else out: tries count for the account and the address they
 * come from together, and far more of them for either alone. A device that has signed in to the account before has
 * tries of its own (OWASP, "Slow Down Online Guessing Attacks with Device Cookies").
 *
 * What is counted lives in memory: it is forgotten when the server starts anew, and needs no database that may stand
 * still.
 */
export class SignInLimiter {
  private readonly fromOne = limiter(signInLimits.fromOne)
  private readonly perAddress = limiter(signInLimits.perAddress)
  private readonly perAccount = limiter(signInLimits.perAccount)

  /**
   * Counts an attempt before anything is looked at: of many at the same time no more come through than of one after
   * another.
   *
   * @param device names a device that the account has been signed in to from before
   * @throws TooMany
   */
  async attempt(email: string, address: string, device?: string): Promise<Attempt> {
    const own: Subject = { limiter: this.fromOne, key: JSON.stringify([email, device ?? address]) }
    const others: Subject[] = device
      ? []
      : [
          { limiter: this.perAddress, key: address },
          { limiter: this.perAccount, key: email },
        ]
    for (const { limiter, key } of [own, ...others]) await count(limiter, key)
    return {
      right: async () => {
        await own.limiter.delete(own.key)
        for (const { limiter, key } of others) await limiter.reward(key)
      },
    }
  }
}

/** Bounds how many accounts are opened from one address. */
export class SignUpLimiter {
  private readonly perAddress: RateLimiterMemory

  constructor(perHour: number) {
    this.perAddress = new RateLimiterMemory({ points: perHour, duration: 3600 })
  }

  /** @throws TooMany */
  attempt(address: string): Promise<void> {
    return count(this.perAddress, address)
  }
}

/** Bounds how many letters are asked for. */
export class LetterLimiter {
  private readonly perAccount = new RateLimiterMemory({ points: letterLimits.perAccount, duration: 3600 })
  private readonly perAddress = new RateLimiterMemory({ points: letterLimits.perAddress, duration: 3600 })

  /** Whether there is such an account or not is not told by it. @throws TooMany */
  async attempt(email: string, address: string): Promise<void> {
    await count(this.perAddress, address)
    await count(this.perAccount, email)
  }
}

const limiter = (points: number) => new RateLimiterMemory({ points, duration: signInLimits.minutes * 60 })

async function count(limiter: RateLimiterMemory, key: string): Promise<void> {
  try {
    await limiter.consume(key)
  } catch (refused) {
    throw refused instanceof RateLimiterRes ? new TooMany(Math.ceil(refused.msBeforeNext / 1000)) : refused
  }
}
