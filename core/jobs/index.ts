export * from './schema'
export * from './renew'
export * from './planned'
