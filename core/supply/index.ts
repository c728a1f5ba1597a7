export * from './family'
export * from './service'
