import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { Refusal } from '../refusal'
import * as tasks from './tasks'
import type { Told } from './worker'

type Tasks = typeof tasks
export type TaskName = keyof Tasks

/** A trip of so many bytes is worked on where one is: handing it over would take longer. */
const shortBytes = 60_000
/** So many wait for a thread at most; whoever comes then is told to come again. */
const mostWaiting = 64

let pool: Piscina | undefined

/** So long a task may take, what waits before it included. */
const patienceMs = 60_000

/** Too many long trips are being worked on. */
export class TooBusy extends Error {}

/**
 * Does a task, in a thread of its own where the trip is long, so that nobody else waits for it.
 *
 * @param bytes the size of the trip
 * @throws Refusal with the faults of what was given, or TooBusy
 */
export async function doTask<T extends TaskName>(
  task: T,
  given: Parameters<Tasks[T]>[0],
  bytes: number,
): Promise<ReturnType<Tasks[T]>> {
  if (bytes <= shortBytes) return (tasks[task] as (given: unknown) => ReturnType<Tasks[T]>)(given)
  pool ??= new Piscina({
    // The built server knows itself by its first file, beside which nuxt.config.ts has put that of the threads.
    filename: new URL('./thread.mjs', import.meta.url).href,
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: 60_000,
    maxQueue: mostWaiting,
  })
  if (pool.queueSize >= mostWaiting) throw new TooBusy()
  const signal = AbortSignal.timeout(patienceMs)
  const told = await (pool.run({ task, given }, { signal }) as Promise<Told<ReturnType<Tasks[T]>>>).catch(
    (error: unknown) => {
      throw signal.aborted ? new TooBusy() : error
    },
  )
  if ('faults' in told) throw new Refusal(told.faults)
  return told.value
}

export async function closePool(): Promise<void> {
  await pool?.destroy()
  pool = undefined
}
