import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { runChild } from './children'
import { ScriptError } from './script-error'

const sources = [
  'app',
  'catalogue',
  'core',
  'public',
  'server',
  'shared',
  'wording',
  'paper',
  'nuxt.config.ts',
  'scripts/bundling',
  'package.json',
  'package-lock.json',
]
const stamp = '.output/sources.sha256'

function* filesUnder(path: string): Generator<string> {
  if (!existsSync(path)) return
  for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => a.name.localeCompare(b.name))) {
    const child = join(path, entry.name)
    if (entry.isDirectory()) yield* filesUnder(child)
    else yield child
  }
}

function fingerprint(): string {
  const hash = createHash('sha256')
  for (const source of sources) {
    const files = source.includes('.') ? [source] : [...filesUnder(source)]
    for (const file of files) hash.update(file).update('\0').update(readFileSync(file)).update('\0')
  }
  return hash.digest('hex')
}

/** Builds the app unless the last build was of the very same sources. */
export async function buildIfStale(): Promise<void> {
  const now = fingerprint()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return
  console.log('Building the app (half a minute, when its sources have changed) …')
  rmSync('.output', { recursive: true, force: true })
  const { ok, lastWords } = await runChild({
    command: 'node_modules/.bin/nuxt',
    args: ['build'],
    env: { ...process.env, NODE_ENV: 'production', NUXT_TELEMETRY_DISABLED: '1' },
  })
  if (!ok) throw new ScriptError(`The build failed:\n${lastWords}`)
  mkdirSync('.output', { recursive: true })
  writeFileSync(stamp, now)
}
