export * from './schema'
export * from './build'
export * from './hours-at-risk'
export * from './wear-on-road'
