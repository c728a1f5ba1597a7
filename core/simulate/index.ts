export * from './simulation'
export * from './compare'
