export * from './evaluate'
export * from './failure'
export * from './best-kit'
export * from './wear-counts'
