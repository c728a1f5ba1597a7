export * from './schema'
export * from './landscape'
export * from './classes'
export * from './build'
