export * from './schema'
export * from './residual'
