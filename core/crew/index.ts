export * from './schema'
export * from './success'
