export * from './best-kit'
export * from './kit-state'
export * from './problem'
export * from './search'
