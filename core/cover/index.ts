export * from './lightest'
