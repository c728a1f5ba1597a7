export * from './defined'
export * from './fault'
export * from './from-schema'
export * from './text'
