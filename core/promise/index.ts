export * from './evaluate'
