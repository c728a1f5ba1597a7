export * from './breakdowns'
export * from './play'
export * from './questions'
