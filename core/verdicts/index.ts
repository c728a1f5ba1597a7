export * from './explain-kit'
export * from './balance'
export type { FailureAnswer, Flip, Verdict } from './verdict'
