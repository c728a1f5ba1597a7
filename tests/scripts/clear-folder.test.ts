import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, it } from 'vitest'
import { clearFolder } from '../../scripts/clear-folder'

const home = mkdtempSync(join(tmpdir(), 'rag-tin-clear-'))
afterAll(() => rmSync(home, { recursive: true }))

const files = 1000
function fullFolder(name: string): string {
  const path = join(home, name)
  mkdirSync(path)
  for (let i = 0; i < files; i++) writeFileSync(join(path, `file ${i}`), '')
  return path
}

it('a folder that is cleared is gone, and what an interruption left of it before; one that is not there is no fault', () => {
  const path = fullFolder('cleared')
  mkdirSync(`${path}.cleared`)
  clearFolder(path)
  clearFolder(path)
  expect([path, `${path}.cleared`].map(existsSync)).toEqual([false, false])
})

it('a script that is killed while it clears a folder leaves the whole of it, or nothing', async () => {
  let interrupted = 0
  for (let i = 0; i < 5 || (interrupted === 0 && i < 40); i++) {
    const path = fullFolder(`interrupted ${i}`)
    const code = `import { clearFolder } from '${process.cwd()}/scripts/clear-folder.ts'
      process.stdout.write('x', () => clearFolder(${JSON.stringify(path)}))`
    const script = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', code])
    await once(script.stdout, 'data')
    await new Promise((later) => setTimeout(later, 4 * (i % 10)))
    script.kill('SIGKILL')
    await once(script, 'exit')
    if (existsSync(`${path}.cleared`)) interrupted++
    const left = existsSync(path) ? readdirSync(path).length : 0
    expect([0, files]).toContain(left)
  }
  expect(interrupted).toBeGreaterThan(0)
}, 600_000)
