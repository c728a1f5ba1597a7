export * from './what-is-lacking'
