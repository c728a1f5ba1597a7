import { faultLines } from '#core/trip'
import * as tasks from './tasks'

/** What comes back from a thread: a Fault would not be one any more on the other side. */
export type Told<T> = { readonly value: T } | { readonly faults: readonly string[] }

/** The one entry of a thread (pool.ts calls it by the name of the task). */
export default function work({ task, given }: { task: keyof typeof tasks; given: never }): Told<unknown> {
  try {
    return { value: tasks[task](given) }
  } catch (error) {
    const faults = faultLines(error)
    if (!faults) throw error
    return { faults }
  }
}
