export * from './what-is-left'
export * from './onward'
export * from './triage'
export * from './elsewhere'
