export * from './text'
