export * from './simulation'
