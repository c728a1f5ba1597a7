/** What is worked out when it is first asked for, and not while tests are gathered. */
export function once<T>(work: () => T): () => T {
  let known: { readonly value: T } | undefined
  return () => (known ??= { value: work() }).value
}
