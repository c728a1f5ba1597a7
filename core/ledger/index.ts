export * from './schema'
export * from './read'
export * from './indexed'
export * from './kit'
