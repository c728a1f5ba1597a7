export * from './schema'
export * from './in-order'
