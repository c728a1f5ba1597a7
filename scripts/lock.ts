import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { Stop } from './stop'

/** What a running script leaves for others to find: itself, its children, where it serves. */
export interface LockNote {
  pid: number
  children: number[]
  address?: string
}

export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

function commandOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
  } catch {
    return ''
  }
}

/**
 * Keeps a folder to one running script. A note left by one that died is
 * cleared, and so are its children if they still run.
 *
 * @param belongs tells one of our own children by its command line
 */
export async function takeLock(
  path: string,
  belongs: (command: string) => boolean,
): Promise<(note: Partial<LockNote>) => void> {
  mkdirSync(dirname(path), { recursive: true })
  const note: LockNote = { pid: process.pid, children: [] }
  for (let attempt = 0; ; attempt++) {
    try {
      writeFileSync(path, JSON.stringify(note), { flag: 'wx', mode: 0o600 })
      break
    } catch (error) {
      if (!(error instanceof Error && 'code' in error && error.code === 'EEXIST') || attempt > 3) throw error
      await clearDead(path, belongs)
    }
  }
  process.once('exit', () => rmSync(path, { force: true }))
  return (change) => writeFileSync(path, JSON.stringify(Object.assign(note, change)), { mode: 0o600 })
}

async function clearDead(path: string, belongs: (command: string) => boolean): Promise<void> {
  const held = existsSync(path) ? readNote(path) : undefined
  if (held && isAlive(held.pid) && /scripts\/(demo|test)\.ts/.test(commandOf(held.pid))) {
    const where = held.address ? ` at ${held.address}` : ', still starting'
    throw new Stop(
      `It is running already${where} (process ${held.pid}). Use that one, or stop it with Ctrl-C there first.`,
    )
  }
  for (const child of held?.children ?? []) if (isAlive(child) && belongs(commandOf(child))) await end(child)
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
  process.kill(pid, 'SIGTERM')
  for (let i = 0; i < 100 && isAlive(pid); i++) await new Promise((resolve) => setTimeout(resolve, 100))
  if (isAlive(pid)) process.kill(pid, 'SIGKILL')
}
