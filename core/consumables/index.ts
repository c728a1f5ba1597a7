export * from './sealant'
export * from './tape-and-thread'
export * from './decant'
export * from './pads'
