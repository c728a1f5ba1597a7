/** How long things took, ms. */
export class Latencies {
  private readonly took: number[] = []

  get count(): number {
    return this.took.length
  }

  async time<T>(work: () => Promise<T>): Promise<T> {
    const begun = performance.now()
    const done = await work()
    this.took.push(performance.now() - begun)
    return done
  }

  /** So long it took at most in this share of the cases. */
  quantile(share: number): number {
    const sorted = [...this.took].sort((a, b) => a - b)
    return Math.round(sorted[Math.ceil(share * sorted.length) - 1] ?? 0)
  }

  inWords(): string {
    return `half within ${this.quantile(0.5)} ms, 99 % within ${this.quantile(0.99)} ms`
  }
}

/** Does something again and again, so many side by side, for so many seconds. @returns how often it was done a second */
export async function keepDoing(
  sideBySide: number,
  seconds: number,
  work: (who: number, round: number) => Promise<void>,
): Promise<number> {
  const until = performance.now() + seconds * 1000
  let done = 0
  await Promise.all(
    Array.from({ length: sideBySide }, async (_, who) => {
      for (let round = 0; performance.now() < until; round++) {
        await work(who, round)
        done++
      }
    }),
  )
  return done / seconds
}
