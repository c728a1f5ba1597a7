import { existsSync, renameSync, rmSync } from 'node:fs'

/** Removes a folder and all that is in it: whole, or not at all where it is interrupted. */
export function clearFolder(path: string): void {
  const cleared = `${path}.cleared`
  rmSync(cleared, { recursive: true, force: true })
  if (!existsSync(path)) return
  renameSync(path, cleared)
  rmSync(cleared, { recursive: true })
}
