export * from './schema'
export * from './residual'
export * from './turning'
