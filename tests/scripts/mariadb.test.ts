import { spawn } from 'node:child_process'
import { existsSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { afterEach, expect, it } from 'vitest'
import { startMariadb } from '../../scripts/mariadb'
import { quickFolder } from '../quick-folder'

/** Whoever may sign in to a server, as its own files say: read by a server that asks nobody who they are. */
async function accountsOf(folder: string): Promise<string[]> {
  const socket = join(folder, 'accounts.sock')
  const data = `--datadir=${join(folder, 'data')}`
  const args = ['--no-defaults', '--user=root', data, `--socket=${socket}`, '--skip-networking', '--skip-grant-tables']
  const server = spawn('/usr/sbin/mariadbd', args, { stdio: 'ignore', env: { ...process.env, TMPDIR: folder } })
  const gone = new Promise((done) => server.once('exit', done))
  try {
    for (;;) {
      try {
        const connection = await createConnection({ socketPath: socket, user: 'root' })
        const [rows] = await connection.query<RowDataPacket[]>('SELECT User, Host FROM mysql.global_priv')
        await connection.end()
        return rows.map(({ User, Host }) => `${User}@${Host}`).sort()
      } catch (error) {
        if (server.exitCode !== null) throw error
        await new Promise((again) => setTimeout(again, 50))
      }
    }
  } finally {
    server.kill('SIGTERM')
    await gone
  }
}

const folder = quickFolder('rag-tin-mariadb-')
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

it('nobody gets into a server but the app, by its password', async () => {
  const server = await startMariadb(folder)
  const { port } = new URL(server.url)
  try {
    for (const user of ['root', 'rag_tin', '']) {
      const entering = createConnection({ host: '127.0.0.1', port: Number(port), user })
      await expect(entering, user).rejects.toMatchObject({ code: 'ER_ACCESS_DENIED_ERROR' })
    }
  } finally {
    await server.stop()
  }
  expect(await accountsOf(folder)).toEqual(['mariadb.sys@localhost', 'rag_tin@127.0.0.1', 'root@localhost'])
})
