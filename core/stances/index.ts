export * from './schools'
export * from './take'
export * from './standing'
