export * from './cells'
