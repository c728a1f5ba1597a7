export * from './family'
export * from './service'
export * from './counter'
export * from './place-words'
