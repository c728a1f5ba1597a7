export * from './repeated'
export * from './shut'
export * from './stress'
