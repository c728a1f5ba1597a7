export * from './schema'
export * from './cautions'
export * from './residual'
export * from './turning'
