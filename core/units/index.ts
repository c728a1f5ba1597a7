export * from './factors'
export * from './measure'
export * from './words'
export * from './customary'
