export * from './wear-on-road'
export * from './ledger-of-trip'
export * from './where'
export { Hands, withHands } from './hands'
