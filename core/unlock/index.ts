export * from './first-bench'
export * from './what-is-lacking'
