import equal from 'fast-deep-equal'
import { onDisk, openDeviceDatabase, type ShedRow } from './device-database'

/** What one person's device holds of their shed, whatever happens to its windows. */
export interface ShedDevice {
  read(): Promise<ShedRow[]>
  /**
   * Changes rows as they stand when it is their turn: another window may have changed them a moment ago.
   *
   * @param change of each row, with an empty one where there is none
   * @returns how they stand then
   */
  change(ids: readonly string[], change: (row: ShedRow) => ShedRow): Promise<ShedRow[]>
  wipe(): Promise<void>
}

const noRow = (id: string): ShedRow => ({ id, saved: null, version: '', thing: null })
/** Neither the server nor anybody here knows of it any more. */
const isGone = ({ saved, thing }: ShedRow) => saved === null && thing === null

/** The browser's own database. @param name of it */
export function deviceShed(person: string, name?: string): ShedDevice {
  const all = IDBKeyRange.bound([person], [person, []])
  return {
    async read() {
      const db = await openDeviceDatabase(name)
      try {
        return (await db.getAll('shed', all)).map(({ person: _, ...row }) => row)
      } finally {
        db.close()
      }
    },
    async change(ids, change) {
      const db = await openDeviceDatabase(name)
      try {
        const tx = db.transaction('shed', 'readwrite', onDisk)
        const rows = await Promise.all(
          ids.map(async (id) => {
            const { person: _, ...before } = (await tx.store.get([person, id])) ?? { person, ...noRow(id) }
            const next = change(before)
            if (isGone(next)) await tx.store.delete([person, id])
            else if (!equal(before, next)) await tx.store.put({ ...next, person })
            return next
          }),
        )
        await tx.done
        return rows
      } finally {
        db.close()
      }
    },
    async wipe() {
      const db = await openDeviceDatabase(name)
      try {
        await db.delete('shed', all)
      } finally {
        db.close()
      }
    },
  }
}

/** Where a browser keeps no database: this window alone. */
export function memoryShed(): ShedDevice {
  const rows = new Map<string, ShedRow>()
  return {
    read: () => Promise.resolve([...rows.values()]),
    change(ids, change) {
      const next = ids.map((id) => change(rows.get(id) ?? noRow(id)))
      for (const row of next) {
        if (isGone(row)) rows.delete(row.id)
        else rows.set(row.id, row)
      }
      return Promise.resolve(next)
    },
    wipe() {
      rows.clear()
      return Promise.resolve()
    },
  }
}
