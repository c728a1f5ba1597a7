export * from './deed'
export * from './price'
export * from './ways'
