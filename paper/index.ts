export * from './options'
export * from './document'
