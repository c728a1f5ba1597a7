import { mkdtempSync, statfsSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const memory = '/dev/shm'
/** Room for the data of several servers. */
const enoughBytes = 4e9

/**
 * A folder of a test's own: of the machine's memory where that has room, else of its disk. A database server makes sure of
 * what it writes at every step; on a slow disk a test would wait for that most of its time.
 */
export function quickFolder(prefix: string): string {
  return mkdtempSync(join(hasRoom(memory) ? memory : tmpdir(), prefix))
}

function hasRoom(folder: string): boolean {
  try {
    const { bavail, bsize } = statfsSync(folder)
    return bavail * bsize >= enoughBytes
  } catch {
    return false
  }
}
