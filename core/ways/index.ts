export * from './deed'
export { Plans } from './plans'
export * from './price'
export * from './ways'
