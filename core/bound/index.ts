export * from './prove'
export * from './frontier-bound'
