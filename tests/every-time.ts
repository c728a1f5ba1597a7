/**
 * In place of `once` where changes to the core are tried: each test then meets by itself all that it rests on, so that it is
 * among those that a change is tried against.
 */
export function once<T>(work: () => T): () => T {
  return work
}
