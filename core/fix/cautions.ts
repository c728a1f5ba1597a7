import type { Fix } from './schema'

/** All that is to be said before the steps of a fix, each once. */
export const cautionsOf = ({ dangers, caution }: Pick<Fix, 'dangers' | 'caution'>): string[] => [
  ...new Set([...dangers, ...(caution ? [caution] : [])]),
]
