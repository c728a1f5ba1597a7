import { defined } from '#core/validation'
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { ScriptError } from './script-error'

interface Program {
  readonly name: string
  readonly place: string
  readonly debianPackage: string
}

/** The server and what it is set up with; not the package that would also run a server of its own. */
export const mariadb: readonly Program[] = [
  { name: 'the MariaDB server', place: '/usr/sbin/mariadbd', debianPackage: 'mariadb-server-core' },
  { name: 'MariaDB’s set-up tools', place: '/usr/bin/my_print_defaults', debianPackage: 'mariadb-client-core' },
  { name: 'what writes a database down', place: '/usr/bin/mariadb-dump', debianPackage: 'mariadb-client' },
]
/** Chromium without the windows round its pages, which nobody sees here and which would take a third of the time. */
export const headlessChromium: Program = {
  name: 'Chromium',
  place: '/usr/bin/chromium-headless-shell',
  debianPackage: 'chromium-headless-shell',
}

/**
 * Installs programs from Debian's packages where they are missing; says how to do it by hand where it cannot. Nothing
 * interrupts it: packages that are installed by halves would be worse than the wait.
 */
export function ensurePrograms(...programs: Program[]): void {
  const missing = programs.filter(({ place }) => !existsSync(place))
  if (missing.length === 0) return
  const packages = missing.map((program) => program.debianPackage)
  const byHand = `apt-get update && apt-get install --no-install-recommends ${packages.join(' ')}`
  const say = `Rag Tin needs ${missing.map((program) => program.name).join(' and ')}`
  if (!existsSync('/usr/bin/apt-get'))
    throw new ScriptError(`${say}; this is no Debian, so install it by hand and start again.`)
  console.log(`Installing ${packages.join(', ')} from Debian's packages (once) …`)
  const root = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  for (const step of [['update'], ['install', '-y', '--no-install-recommends', ...packages]]) {
    const [command, ...args] = [...root, 'apt-get', '-q', ...step]
    const result = spawnSync(defined(command), args, {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      encoding: 'utf8',
    })
    if (result.status !== 0) {
      const last = `${result.stdout}${result.stderr}`.trim().split('\n').slice(-4).join('\n  ')
      throw new ScriptError(`${say}, and installing failed:\n  ${last}\nAs root, run: ${byHand}`)
    }
  }
}
