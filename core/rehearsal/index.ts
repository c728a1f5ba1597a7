export * from './breakdowns'
export * from './play'
