export * from './spoke'
export * from './fewest'
