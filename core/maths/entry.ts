/** A map, or a weak one. */
interface Known<K, V> {
  get(key: K): V | undefined
  set(key: K, value: V): unknown
}

/** What is known by a key; worked out, and kept, where it is not. */
export function entry<K, V>(known: Known<K, V>, key: K, workOut: () => V): V {
  const before = known.get(key)
  if (before !== undefined) return before
  const value = workOut()
  known.set(key, value)
  return value
}
