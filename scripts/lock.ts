import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { ScriptError } from './script-error'

/** What a running script leaves for others to find: itself, where it serves, and how its database is reached. */
export interface LockNote {
  pid: number
  address?: string
  databaseUrl?: string
}

/** Whether a process is there and runs; one that has ended and was not collected by its parent does not. */
export const isAlive = (pid: number) => commandOf(pid) !== ''

function commandOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
  } catch {
    return ''
  }
}

/** The processes of this machine that are somebody's, by their command lines. */
export function processesOf(belongs: (command: string) => boolean): readonly number[] {
  const pids = readdirSync('/proc').flatMap((name) => (/^\d+$/.test(name) ? [Number(name)] : []))
  return pids.filter((pid) => pid !== process.pid && belongs(commandOf(pid)))
}

/**
 * Keeps a folder to one running script. A note left by one that died is cleared, and what it left running is waited for
 * and ended: servers of one that was killed are still going down.
 *
 * @param belongs tells the folder's own servers by their command lines
 */
export async function takeLock(
  path: string,
  belongs: (command: string) => boolean,
): Promise<(note: Partial<LockNote>) => void> {
  mkdirSync(dirname(path), { recursive: true })
  const note: LockNote = { pid: process.pid }
  for (let attempt = 0; ; attempt++) {
    try {
      writeFileSync(path, JSON.stringify(note), { flag: 'wx', mode: 0o600 })
      break
    } catch (error) {
      if (!(error instanceof Error && 'code' in error && error.code === 'EEXIST') || attempt > 3) throw error
      clearDead(path)
    }
  }
  process.once('exit', () => rmSync(path, { force: true }))
  await Promise.all(processesOf(belongs).map(end))
  return (change) => writeFileSync(path, JSON.stringify(Object.assign(note, change)), { mode: 0o600 })
}

/** The note of the script that runs in a folder; undefined where none does. */
export function runningIn(path: string): LockNote | undefined {
  const held = existsSync(path) ? readNote(path) : undefined
  const script = /scripts\/(demo|serve|test|judge|backup|restore)\.ts/
  return held && held.pid !== process.pid && script.test(commandOf(held.pid)) ? held : undefined
}

function clearDead(path: string): void {
  const held = runningIn(path)
  if (held) {
    const where = held.address ? ` at ${held.address}` : ', still starting'
    throw new ScriptError(
      `It is running already${where} (process ${held.pid}). Use that one, or stop it with Ctrl-C there first.`,
    )
  }
  rmSync(path, { force: true })
}

function readNote(path: string): LockNote | undefined {
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as LockNote
  } catch {
    return undefined
  }
}

async function end(pid: number): Promise<void> {
  signal(pid, 'SIGTERM')
  for (let i = 0; i < 200 && isAlive(pid); i++) await new Promise((resolve) => setTimeout(resolve, 50))
  signal(pid, 'SIGKILL')
}

function signal(pid: number, name: NodeJS.Signals): void {
  try {
    process.kill(pid, name)
  } catch {
    // It went meanwhile.
  }
}
