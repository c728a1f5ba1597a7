export * from './gamma'
export * from './set-cover'
