export * from './line'
export * from './weighing'
export * from './invented-scale'
