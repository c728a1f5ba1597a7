export * from './demand'
export * from './evaluate'
export * from './kit-promise'
export * from './demand-stream'
