export * from './schema'
export * from './in-time'
export * from './calendar-days'
