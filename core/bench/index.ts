export * from './schema'
export * from './deeds'
