export * from './fault'
export * from './from-schema'
