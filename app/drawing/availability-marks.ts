import type { StopAvailability } from '#core/availability'

/** How a finding is marked on a class: a shape for each, so that colour is never alone; the surest first. */
export const availabilityMarks: Record<
  StopAvailability['finding'],
  { sign: string; look: string; words: string; detail: string }
> = {
  had: { sign: '┃', look: 'text-petrol', words: 'there', detail: 'there' },
  uncertain: { sign: '┇', look: 'text-petrol', words: 'there, hours unknown', detail: 'there, hours unknown' },
  waited: { sign: '╽', look: 'text-brass', words: 'after a wait', detail: 'there after a wait' },
  shut: { sign: '×', look: 'text-lacking', words: 'shut', detail: 'shut when you come by' },
  doubtful: { sign: '?', look: 'text-soft', words: 'perhaps', detail: 'perhaps' },
}
