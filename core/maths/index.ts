export * from './gamma'
export * from './set-cover'
export * from './add-up'
export * from './list-map'
