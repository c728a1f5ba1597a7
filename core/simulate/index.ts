export * from './simulation'
export * from './compare'
export { Stream } from './keyed-random'
