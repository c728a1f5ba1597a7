export * from './schema'
export * from './unchecked'
export * from './trial'
