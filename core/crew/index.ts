export * from './schema'
export * from './hands'
export * from './practice'
