import { randomBytes } from 'node:crypto'
import { readFileSync, renameSync, writeFileSync } from 'node:fs'

const bytes = 32
const whole = new RegExp(`^[0-9a-f]{${2 * bytes}}$`)

/**
 * A secret kept in a file that only its owner reads; made where there is none, and anew where the file holds no whole
 * one: a start that was killed while it was written would leave less.
 */
export function secretIn(path: string): string {
  const kept = readIfThere(path)
  if (whole.test(kept)) return kept
  const made = randomBytes(bytes).toString('hex')
  writeFileSync(`${path}.new`, made, { mode: 0o600 })
  renameSync(`${path}.new`, path)
  return made
}

function readIfThere(path: string): string {
  try {
    return readFileSync(path, 'utf8').trim()
  } catch (error) {
    if (error instanceof Error && 'code' in error && error.code === 'ENOENT') return ''
    throw error
  }
}
