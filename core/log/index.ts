export * from './schema'
export * from './in-order'
export * from './table'
