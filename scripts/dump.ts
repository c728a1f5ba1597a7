import { closeSync, fsyncSync, openSync, readSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { runChild } from './children'
import { ScriptError } from './script-error'

/** As the server is started: a road of a quarter of a million points is one row. */
const packet = '--max-allowed-packet=64M'
const characters = '--default-character-set=utf8mb4'

/**
 * Writes down the whole of a database as it is at one moment, while others go on using it. The file is whole, or there
 * is none.
 */
export async function dumpDatabase(url: string, path: string): Promise<void> {
  const unfinished = `${path}.${process.pid}.new`
  const database = new URL(url).pathname.slice(1)
  // From the database itself on, so that it comes back with the collation it had.
  const whole = ['--single-transaction', '--quick', '--hex-blob', '--databases', '--add-drop-database', database]
  const { ok, lastWords } = await signedIn(url, path, (asUser) =>
    runChild({
      command: '/usr/bin/mariadb-dump',
      args: [asUser, characters, packet, `--result-file=${unfinished}`, ...whole],
    }),
  )
  if (!ok) {
    rmSync(unfinished, { force: true })
    throw new ScriptError(`The database could not be written down in ${path}:\n  ${lastWords}`)
  }
  settle(unfinished, path)
}

/** Makes a database what was written down of it, whatever it holds. */
export async function loadDump(url: string, path: string): Promise<void> {
  if (!isWhole(path))
    throw new ScriptError(`${path} is not the whole of a database; its last line says so where it is.`)
  const stdin = openSync(path, 'r')
  try {
    const { ok, lastWords } = await signedIn(url, path, (asUser) =>
      runChild({ command: '/usr/bin/mariadb', args: [asUser, characters, packet], stdin }),
    )
    if (!ok) throw new ScriptError(`${path} could not be read into the database:\n  ${lastWords}`)
  } finally {
    closeSync(stdin)
  }
}

/** Whether a file was written to its end. */
export function isWhole(path: string): boolean {
  const length = Math.min(200, statSync(path).size)
  const end = Buffer.alloc(length)
  const file = openSync(path, 'r')
  try {
    readSync(file, end, 0, length, statSync(path).size - length)
  } finally {
    closeSync(file)
  }
  return end.toString('utf8').includes('\n-- Dump completed')
}

/** Gives a file its name once it is on the disk, so that no file of that name was ever cut short. */
export function settle(unfinished: string, path: string): void {
  onDisk(unfinished)
  renameSync(unfinished, path)
  onDisk(dirname(path))
}

function onDisk(path: string): void {
  const file = openSync(path, 'r')
  fsyncSync(file)
  closeSync(file)
}

/** Passes who signs in as a file beside the dump that only its owner reads: command lines are there for all to see. */
async function signedIn<T>(url: string, path: string, work: (asUser: string) => Promise<T>): Promise<T> {
  const { hostname, port, username, password } = new URL(url)
  const file = `${path}.${process.pid}.client`
  const lines = ['[client]', `host=${hostname}`, `port=${port}`, `user=${username}`, `password=${password}`, '']
  writeFileSync(file, lines.join('\n'), { mode: 0o600 })
  try {
    return await work(`--defaults-file=${file}`)
  } finally {
    rmSync(file, { force: true })
  }
}
