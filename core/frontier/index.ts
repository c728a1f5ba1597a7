export * from './hull'
export * from './frontier'
export * from './steps'
export * from './readings'
