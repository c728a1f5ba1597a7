export * from './schema'
export * from './refused-changes'
export * from './change-lines'
export * from './brought'
