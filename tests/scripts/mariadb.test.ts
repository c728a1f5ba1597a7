import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, expect, it } from 'vitest'
import { startMariadb } from '../../scripts/mariadb'

const folder = mkdtempSync(join(tmpdir(), 'rag-tin-mariadb-'))
const others = join(tmpdir(), `#sql-temptable-${process.pid}-1-1.MAI`)
afterEach(() => {
  for (const path of [folder, others]) rmSync(path, { recursive: true, force: true })
})

it('a server leaves the temporary tables of other servers alone, while it lays down its data and while it starts', async () => {
  writeFileSync(others, '')
  const server = await startMariadb(folder)
  await server.stop()
  expect(existsSync(others)).toBe(true)
})
