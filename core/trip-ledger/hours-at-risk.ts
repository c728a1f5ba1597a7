import type { BuiltLedger } from './build'

/** Expected hours of walking that hang on each supply class when nothing is carried: the sum of chance × loss over its claims. */
export function hoursAtRisk({ ledger, notes }: BuiltLedger): Record<string, number> {
  const hours: Record<string, number> = {}
  notes.forEach(({ settledBy }, i) => {
    const { probability, lossH } = ledger.claims[i]!
    hours[settledBy] = (hours[settledBy] ?? 0) + probability * lossH
  })
  return hours
}
