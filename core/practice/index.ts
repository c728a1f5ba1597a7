export * from './worth'
