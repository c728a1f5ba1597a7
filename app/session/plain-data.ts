import { isProxy, toRaw } from 'vue'

const madePlain = new WeakSet<object>()

/** Notes that a value was made here of plain data, as the line of a road is: nobody need look through it for wrappings. */
export function asPlain<T extends object>(value: T): T {
  madePlain.add(value)
  return value
}

/**
 * A value as plain data: what forms hand over may be wrapped to be watched, and no device keeps wrappings.
 *
 * @param known what stood there before; where it still does there is nothing to look for
 */
export function withoutProxies<T>(value: T, known: unknown): T {
  if (value === known) return value
  const raw: unknown = isProxy(value) ? toRaw(value) : value
  if (typeof raw === 'object' && raw !== null && madePlain.has(raw)) return raw as T
  if (Array.isArray(raw)) return listWithoutProxies(raw, known as readonly unknown[] | undefined) as T
  if (raw !== null && typeof raw === 'object') {
    const before = known as Record<string, unknown> | null | undefined
    const entries = Object.entries(raw).map(
      ([key, entry]) => [key, withoutProxies<unknown>(entry, before?.[key])] as const,
    )
    const isSame = entries.every(([key, entry]) => entry === (raw as Record<string, unknown>)[key])
    return (isSame ? raw : Object.fromEntries(entries)) as T
  }
  return raw as T
}

/** A road has a hundred thousand points: a list is copied only where it held a wrapping. */
function listWithoutProxies(list: readonly unknown[], known: readonly unknown[] | undefined): readonly unknown[] {
  let copy: unknown[] | undefined
  for (let i = 0; i < list.length; i++) {
    const entry = list[i]
    if (entry === null || typeof entry !== 'object') continue
    const plain = withoutProxies<unknown>(entry, known?.[i])
    if (plain === entry) continue
    copy ??= [...list]
    copy[i] = plain
  }
  return copy ?? list
}
