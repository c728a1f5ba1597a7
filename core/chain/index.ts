export * from './belt'
export * from './length'
export * from './single-speed'
export * from './wear'
