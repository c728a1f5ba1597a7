export * from './evaluate'
export * from './best-kit'
export * from './wear-counts'
