import type { Task } from './schema'

/**
 * Whether something is done before the ride begins: what is done already, and what is still open and has no day yet or one
 * that is not too late.
 *
 * @param start when the ride begins, such as 2026-06-12T08:30; null while nobody knows
 */
export function isInTime({ on, state }: Pick<Task, 'on' | 'state'>, start: string | null): boolean {
  if (state !== 'open') return state === 'done'
  return on === null || start === null || on < start.slice(0, 10)
}
