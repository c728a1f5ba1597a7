export * from './head'
export * from './measures'
export * from './schema'
export * from './doubles'
