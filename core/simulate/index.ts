export * from './simulation'
export * from './compare'
export { FailureDraws } from './failures'
export { keyUnder, Stream, uniformUnder } from './keyed-random'
