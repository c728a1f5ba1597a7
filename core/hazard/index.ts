export * from './schema'
export * from './chance'
export * from './applies'
