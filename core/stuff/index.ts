export * from './amounts'
export * from './decant'
export * from './pads'
