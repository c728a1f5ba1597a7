import type { LogEntry } from './schema'

/** Entries in the order in which things happened, whoever wrote them when; of the same minute by their ids, so that it is one order everywhere. */
export const inOrder = (log: readonly LogEntry[]): LogEntry[] =>
  [...log].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1))
