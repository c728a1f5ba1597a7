import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { openLog } from '../../scripts/log'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'rag-tin-log-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

it('a log takes no more room than it may, keeps what was said last, and is for its owner alone', async () => {
  const log = await openLog(folder, 'app')
  const isSaid = (words: string) =>
    readdirSync(folder).some((file) => readFileSync(join(folder, file), 'utf8').endsWith(words))
  const line = `${'x'.repeat(999)}\n`
  for (let mb = 0; mb < 40; mb++) {
    for (let i = 0; i < 1000; i++) log.write(line)
    log.write(`${mb} MB\n`)
    // A server says things over a time: the file is changed once what was said is written.
    await expect.poll(() => isSaid(`${mb} MB\n`), { interval: 10 }).toBe(true)
  }
  log.write('the last word\n')
  log.close()
  await expect.poll(() => isSaid('the last word\n')).toBe(true)
  const size = () => readdirSync(folder).reduce((sum, file) => sum + statSync(join(folder, file)).size, 0)
  await expect.poll(size).toBeLessThan(28_000_000)
  for (const file of readdirSync(folder)) expect(statSync(join(folder, file)).mode & 0o777).toBe(0o600)
})
