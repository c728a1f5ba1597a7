export * from './schema'
export * from './planning'
