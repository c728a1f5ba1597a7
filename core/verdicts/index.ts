export * from './explain-kit'
export * from './balance'
export type { FailureAnswer, Verdict } from './verdict'
