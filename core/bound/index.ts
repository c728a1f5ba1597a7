export * from './prove'
