export * from './factors'
export * from './measure'
export * from './system'
export * from './customary'
