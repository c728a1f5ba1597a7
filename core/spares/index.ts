export * from './spoke-lengths'
export * from './spare-fit'
export * from './wheel-warnings'
