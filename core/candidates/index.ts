export * from './added'
export { compareCandidates, mostCandidates, type Candidate, type CandidateFit, type CandidateReport } from './compare'
export * from './one-for-several'
export * from './for-strangers'
