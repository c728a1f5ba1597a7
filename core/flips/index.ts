export * from './flip'
export * from './flips'
