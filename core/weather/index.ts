export * from './schema'
export * from './effects'
export * from './words'
