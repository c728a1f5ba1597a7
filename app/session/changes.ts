import equal from 'fast-deep-equal'

/** A step down into a document: the key of an object, or the entry of a list that is known by an id (`idOf`). */
export type Key = string | { readonly id: string }
export type Path = readonly Key[]

/** What became of one value: undefined where there was none, or where there is none any more. */
interface ValueChange {
  readonly path: Path
  readonly before: unknown
  readonly after: unknown
}

/** In which order the entries of a list stand, by their ids. */
interface OrderChange {
  readonly path: Path
  readonly orderBefore: readonly string[]
  readonly orderAfter: readonly string[]
}

/**
 * A patch of a document. Entries of lists are known by their ids and not by their places, so that a patch still means
 * the same after somebody else has added or removed others.
 */
export type Change = ValueChange | OrderChange

type Json = Record<string, unknown>
const isObject = (value: unknown): value is Json => value !== null && typeof value === 'object' && !Array.isArray(value)

type Entry = Json
/** What entries are known by that have no id of their own: what of the catalogue they are about, of which there is one each. */
const standIns = ['job', 'check', 'technique'] as const
/** What an entry of a list is known by; nothing where it is none that is known by anything. */
function idOf(entry: unknown): string | undefined {
  if (!isObject(entry)) return undefined
  const id = ['id', ...standIns].map((key) => entry[key]).find((value) => value !== undefined)
  return typeof id === 'string' ? id : undefined
}

/** Whether a list is one of entries that are each known by an id of their own. An empty list may become one. */
function isKeyed(value: unknown): value is readonly Entry[] {
  if (!Array.isArray(value)) return false
  const ids = new Set<string>()
  for (const entry of value as unknown[]) {
    const id = idOf(entry)
    if (id === undefined || ids.has(id)) return false
    ids.add(id)
  }
  return true
}

const idsOf = (list: readonly Entry[]) => list.map((entry) => idOf(entry) ?? '')
export const isOrder = (change: Change): change is OrderChange => 'orderAfter' in change

/** What changed from one document to another. Lists without ids are one value, replaced whole. */
export function changesBetween(before: unknown, after: unknown, path: Path = []): Change[] {
  if (before === after) return []
  if (isObject(before) && isObject(after)) {
    const keys = new Set([...Object.keys(before), ...Object.keys(after)])
    return [...keys].flatMap((key) => changesBetween(before[key], after[key], [...path, key]))
  }
  if (isKeyed(before) && isKeyed(after)) return changesOfList(before, after, path)
  return equal(before, after) ? [] : [{ path, before, after }]
}

function changesOfList(before: readonly Entry[], after: readonly Entry[], path: Path): Change[] {
  const beforeById = new Map(before.map((entry) => [idOf(entry) ?? '', entry]))
  const afterById = new Map(after.map((entry) => [idOf(entry) ?? '', entry]))
  const entries = [...new Set([...beforeById.keys(), ...afterById.keys()])].flatMap((id): Change[] => {
    const at = [...path, { id }]
    const [old, now] = [beforeById.get(id), afterById.get(id)]
    return old && now ? changesBetween(old, now, at) : [{ path: at, before: old, after: now }]
  })
  const [orderBefore, orderAfter] = [idsOf(before), idsOf(after)]
  return equal(orderBefore, orderAfter) ? entries : [...entries, { path, orderBefore, orderAfter }]
}

/** The patch that takes another one back. */
export function inverse(changes: readonly Change[]): Change[] {
  return changes.map((change) =>
    isOrder(change)
      ? { path: change.path, orderBefore: change.orderAfter, orderAfter: change.orderBefore }
      : { path: change.path, before: change.after, after: change.before },
  )
}

/** What stands at a place of a document; undefined where there is nothing. */
export function valueAt(document: unknown, path: Path): unknown {
  return path.reduce<unknown>((value, key) => {
    if (typeof key === 'string') return isObject(value) ? value[key] : undefined
    return Array.isArray(value) ? (value as unknown[]).find((entry) => idOf(entry) === key.id) : undefined
  }, document)
}

/**
 * A document with some changes made, whatever stands there now: the last to speak is heard. What would have to be made
 * inside something that is gone is left out. The document itself stays as it is, and shares what did not change.
 */
export function applied<T>(document: T, changes: readonly Change[]): T {
  return changes.reduce<unknown>(
    (done, change) =>
      isOrder(change)
        ? changedAt(done, change.path, (list) => (isKeyed(list) ? inOrderOf(list, change.orderAfter) : list))
        : changedAt(done, change.path, () => change.after),
    document,
  ) as T
}

function changedAt(value: unknown, path: Path, change: (value: unknown) => unknown): unknown {
  const [key, ...rest] = path
  if (key === undefined) return change(value)
  if (typeof key === 'string') {
    if (!isObject(value)) return value
    const next = changedAt(value[key], rest, change)
    if (next === value[key]) return value
    const { [key]: _, ...others } = value
    return next === undefined ? others : { ...value, [key]: next }
  }
  if (!Array.isArray(value)) return value
  const list = value as unknown[]
  const at = list.findIndex((entry) => idOf(entry) === key.id)
  const next = changedAt(list[at], rest, change)
  if (next === list[at]) return value
  if (next === undefined) return list.filter((_, i) => i !== at)
  return at < 0 ? [...list, next] : list.map((entry, i) => (i === at ? next : entry))
}

/** A list in the order of some ids; entries not named there stay behind the one they stood behind. */
function inOrderOf(list: readonly Entry[], ids: readonly string[]): readonly Entry[] {
  const rank = new Map(ids.map((id, i) => [id, i]))
  const rankOf = (entry: Entry) => rank.get(idOf(entry) ?? '')
  const arranged = list
    .filter((entry) => rankOf(entry) !== undefined)
    .sort((a, b) => (rankOf(a) ?? 0) - (rankOf(b) ?? 0))
  list.forEach((entry, i) => {
    if (rankOf(entry) !== undefined) return
    const before = list[i - 1]
    arranged.splice(before === undefined ? 0 : arranged.indexOf(before) + 1, 0, entry)
  })
  return arranged.every((entry, i) => entry === list[i]) ? list : arranged
}

/** Whether a document still stands as it stood when some changes were made to it: whether they can be made again as meant. */
export function stillFits(document: unknown, changes: readonly Change[]): boolean {
  return changes.every((change) => {
    if (isOrder(change)) return true
    const holder = change.path.length > 1 ? valueAt(document, change.path.slice(0, -1)) : document
    return holder !== undefined && equal(valueAt(document, change.path), change.before)
  })
}

const sameKey = (a: Key | undefined, b: Key | undefined) =>
  typeof a === 'string' || typeof b === 'string' ? a === b : a?.id === b?.id

/** Whether one place lies in another, or is the same. */
export const liesIn = (inner: Path, outer: Path) => outer.every((key, i) => sameKey(key, inner[i]))
