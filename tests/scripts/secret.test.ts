import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { secretIn } from '../../scripts/secret'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'rag-tin-secret-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

describe('a secret in a file', () => {
  it('is made once, of 256 bits, for its owner alone to read', () => {
    const path = join(folder, 'key')
    const secret = secretIn(path)
    expect(secret).toMatch(/^[0-9a-f]{64}$/)
    expect(secretIn(path)).toBe(secret)
    expect(statSync(path).mode & 0o777).toBe(0o600)
  })

  it.each(['', '\n', 'a1b2c3'])('is made anew where the file holds no whole one: %j', (left) => {
    const path = join(folder, 'key')
    writeFileSync(path, left)
    expect(secretIn(path)).toMatch(/^[0-9a-f]{64}$/)
    expect(readFileSync(path, 'utf8')).toMatch(/^[0-9a-f]{64}$/)
  })
})
