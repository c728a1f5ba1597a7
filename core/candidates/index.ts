export * from './added'
export * from './compare'
