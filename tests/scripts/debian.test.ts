import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ensurePrograms, headlessChromium, mariadb } from '../../scripts/debian'

/** A folder first on the PATH, with package tools that do what a test says. */
let folder: string
let said: ReturnType<typeof vi.spyOn>
const missing = () => ({ name: 'the Widget', place: join(folder, 'widget'), debianPackage: 'widget-core' })

function aptGet(script: string): void {
  for (const name of ['apt-get', 'sudo']) {
    const path = join(folder, name)
    writeFileSync(path, `#!/bin/sh\necho "$0 $*" >>'${folder}/asked'\n${script}\n`)
    chmodSync(path, 0o755)
  }
}
const asked = () => readFileSync(join(folder, 'asked'), 'utf8').trim().split('\n')

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'rag-tin-debian-'))
  vi.stubEnv('PATH', `${folder}:${process.env.PATH}`)
  said = vi.spyOn(console, 'log').mockImplementation(() => {})
})
afterEach(() => {
  vi.unstubAllEnvs()
  vi.restoreAllMocks()
  rmSync(folder, { recursive: true, force: true })
})

describe('programs from Debian', () => {
  it('that are there are left alone', () => {
    aptGet('exit 1')
    writeFileSync(join(folder, 'widget'), '')
    ensurePrograms(missing())
    expect(() => asked()).toThrow()
  })

  it('that are missing are installed after the lists were fetched, and told of', () => {
    aptGet('exit 0')
    ensurePrograms(missing())
    expect(asked().map((line) => line.replace(/^.*?(update|install)/, '$1'))).toEqual([
      'update',
      'install -y --no-install-recommends widget-core',
    ])
    expect(said).toHaveBeenCalledWith(expect.stringContaining('widget-core'))
  })

  it('that cannot be installed: what, why, and how by hand', () => {
    aptGet('echo "E: Unable to locate package widget-core" >&2; exit 100')
    expect(() => ensurePrograms(missing())).toThrow(
      /needs the Widget, and installing failed:\n\s+E: Unable to locate package widget-core\nAs root, run: apt-get update && apt-get install --no-install-recommends widget-core/,
    )
    expect(asked()).toHaveLength(1)
  })

  it('needed by the demo and the tests are the database with its tools and the browser alone', () => {
    expect([...mariadb, headlessChromium].map(({ debianPackage }) => debianPackage)).toEqual([
      'mariadb-server-core',
      'mariadb-client-core',
      'mariadb-client',
      'chromium-headless-shell',
    ])
  })
})
