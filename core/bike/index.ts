export * from './tyre'
export * from './schema'
export * from './traits'
