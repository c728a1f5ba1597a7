import { spawn } from 'node:child_process'
import { readdirSync, readFileSync, rmSync } from 'node:fs'
import { createConnection, createServer, type AddressInfo } from 'node:net'
import { join } from 'node:path'
import { build } from 'esbuild'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { dumpDatabase, loadDump } from '../../scripts/dump'
import { startMariadb, type RunningMariadb } from '../../scripts/mariadb'
import { toBeRestored, upgradeDatabase } from '../../scripts/upgrade'
import { asOf, insertOldTrip } from '../server/old-database'
import { isFull, judged } from './judged'
import { quickFolder } from '../quick-folder'

let folder: string
let mariadb: RunningMariadb
/** A process that upgrades, put together once: it is started many times. It lies where the packages are found. */
const upgrader = '.data/upgrade-once.mjs'
const at = (name: string) => join(folder, name)

beforeAll(async () => {
  const entryPoints = ['tests/judge/upgrade-once.ts']
  await build({ entryPoints, outfile: upgrader, bundle: true, platform: 'node', format: 'esm', packages: 'external' })
  folder = quickFolder('rag-tin-upgrades-')
  mariadb = await startMariadb(at('mariadb'))
  const connection = await asOf(mariadb.url, '0000_begin')
  await insertOldTrip(connection)
  await connection.end()
  await dumpDatabase(mariadb.url, at('old.sql'))
})
afterAll(async () => {
  await mariadb?.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** All that is in the database, as text. */
async function everything(): Promise<string> {
  await dumpDatabase(mariadb.url, at('now.sql'))
  return readFileSync(at('now.sql'), 'utf8').replace(/^-- Dump completed.*$/m, '')
}

/** A packet's command for a statement of text, MySQL's client/server protocol. */
const comQuery = 3
const changes = /^\s*(CREATE|ALTER|DROP|RENAME|INSERT|UPDATE|DELETE|REPLACE)/i

/** Stands before the database and tells of each statement that changes something and is on its way there. */
async function watch(onStatement: (count: number) => void): Promise<{ port: number; close: () => void }> {
  let count = 0
  const server = createServer((client) => {
    const database = createConnection(Number(new URL(mariadb.url).port), '127.0.0.1')
    client.on('data', (data) => {
      database.write(data)
      // A packet begins with its length and its number in the exchange, which is 0 for a command.
      if (data[3] === 0 && data[4] === comQuery && changes.test(data.toString('utf8', 5, 60))) onStatement(++count)
    })
    database.on('data', (data) => client.write(data))
    for (const [socket, other] of [
      [client, database],
      [database, client],
    ] as const) {
      socket.on('error', () => other.destroy())
      socket.on('close', () => other.destroy())
    }
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  return { port: (server.address() as AddressInfo).port, close: () => server.close() }
}

/** Upgrades in a process of its own that is killed as one of its statements is sent; 0 kills none. @returns how many */
async function upgradeKilledAt(statement: number): Promise<number> {
  let count = 0
  const watching = await watch((now) => {
    count = now
    if (now === statement) child.kill('SIGKILL')
  })
  const url = new URL(mariadb.url)
  url.port = String(watching.port)
  const child = spawn(process.execPath, [upgrader, url.href, at('mariadb')], { stdio: 'ignore' })
  const code = await new Promise<number | null>((done) => child.once('exit', done))
  watching.close()
  expect(code, `at statement ${statement}`).toBe(statement === 0 ? 0 : null)
  return count
}

it('an upgrade that is killed at whichever statement is done whole by the next start, with all data', async () => {
  const statements = await upgradeKilledAt(0)
  const upgraded = await everything()
  expect(upgraded).toContain('Old folder')
  expect(statements).toBeGreaterThan(100)

  // One upgrade takes seconds: in `./test` a twentieth of them is enough.
  const step = isFull ? 1 : 20
  let killed = 0
  for (let statement = 1 + (statements % step); statement <= statements; statement += step) {
    await loadDump(mariadb.url, at('old.sql'))
    await upgradeKilledAt(statement)
    await upgradeDatabase(mariadb.url, at('mariadb'))
    expect(await everything(), `killed at statement ${statement}`).toBe(upgraded)
    expect(readdirSync(at('mariadb')).filter((name) => name.startsWith('to-be-restored'))).toEqual([])
    killed++
  }
  // The same version as before finds its own data again, should somebody go back to it.
  await loadDump(mariadb.url, at('old.sql'))
  const before = await everything()
  await upgradeKilledAt(statements - 20)
  await loadDump(mariadb.url, toBeRestored(at('mariadb')))
  expect(await everything()).toBe(before)

  judged('upgrades', [
    `An upgrade from the first version's tables killed at ${killed} of its ${statements} statements: the next start had all data each time, byte for byte as without a kill.`,
  ])
})
