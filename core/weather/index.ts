export * from './by-hand'
export * from './schema'
export * from './effects'
