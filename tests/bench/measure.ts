import { nth } from '#core/validation'
import { Bench } from 'tinybench'

/**
 * The median time of something, in milliseconds.
 *
 * @param begin makes what each run begins with, which is not timed
 */
export async function medianMs(run: () => void, time?: number): Promise<number>
export async function medianMs<T>(run: (given: T) => void, time: number, begin: () => T): Promise<number>
export async function medianMs<T>(run: (given?: T) => void, time = 1500, begin?: () => T): Promise<number> {
  const bench = new Bench({ time, warmupTime: 300, iterations: 5, warmupIterations: 1 })
  let given: T | undefined
  bench.add('it', () => run(given), { beforeEach: () => void (given = begin?.()) })
  await bench.run()
  const result = nth(bench.tasks, 0).result
  if (result.state !== 'completed') throw new Error(`the benchmark ended ${result.state}`)
  return result.latency.p50
}

/** Prints a line of the report. */
export const say = (what: string, value: string, wanted: string) =>
  console.log(`${what.padEnd(66)} ${value.padStart(12)}   wanted: ${wanted}`)
export const ms = (value: number) => `${value.toFixed(1)} ms`

/** How long this machine takes over a loop that is always the same: what is measured beside it is to be read with it. */
export function loopMs(): number {
  const began = performance.now()
  let sum = 0
  for (let step = 0; step < 2e8; step++) sum += step % 7
  return sum > 0 ? performance.now() - began : NaN
}
