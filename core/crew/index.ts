export * from './schema'
export * from './hands'
export * from './practice'
export * from './sharing'
