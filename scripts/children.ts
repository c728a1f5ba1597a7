import { spawn, type ChildProcess, type SpawnOptions } from 'node:child_process'

/** How much of what a child says is kept, for when it goes down. */
const mostKept = 4000

/**
 * A program that a script runs. It goes with the script, however that goes: the script ends it in good order, and where
 * the script was killed, its watcher does.
 */
export interface Child {
  readonly pid: number
  readonly process: ChildProcess
  /** Resolves when it is gone, with its exit code; null where a signal ended it. */
  readonly gone: Promise<number | null>
  isRunning(): boolean
  /** The end of what it has said. */
  lastWords(): string
  /** Ends it and whatever it has started, in good order, and by force where it does not go. */
  end(): Promise<void>
}

interface ChildOptions {
  readonly command: string
  readonly args: readonly string[]
  readonly env?: NodeJS.ProcessEnv
  /** Whether it says what it says where the script does. */
  readonly inView?: boolean
  /** A file that it reads. */
  readonly stdin?: number
  /** How long it may take over going in good order, when it is asked to. */
  readonly patienceMs?: () => number
  /** Hears whatever it says, as it says it. */
  readonly hear?: (text: string) => void
}

/** In the order they were begun: what was begun later may need what was begun before. */
const running = new Set<Child>()
let isClosing = false

/** So long a program may take over going in good order where the script was killed, s. */
const orphanPatienceS = 10

/**
 * Becomes the program, once a watcher of its own session is in place. The watcher reads a pipe that only the script
 * holds the other end of: it ends when the script has gone, or when the script has seen the program go. Then what is
 * left of the program's group is asked to go, and made to: a database server that is asked while it starts may never
 * hear it.
 */
const watched = `
setsid /bin/sh -c '
  read -r _
  kill -s TERM -- "-$1"; kill -s CONT -- "-$1"
  end=$(($(date +%s) + ${orphanPatienceS}))
  while kill -s 0 -- "-$1" && test "$(date +%s)" -lt "$end"; do sleep 0.1; done
  kill -s KILL -- "-$1"
' watcher "$$" <&3 3<&- >/dev/null 2>&1 &
exec 3<&-
exec "$@"`

/** The script is on its way out and begins nothing any more. */
export class Closing extends Error {}

/** Starts a program as a child of this script. @throws Closing */
export function startChild({
  command,
  args,
  env,
  inView,
  stdin,
  patienceMs = () => 10_000,
  hear,
}: ChildOptions): Child {
  if (isClosing) throw new Closing('nothing is begun any more')
  const options: SpawnOptions = {
    // A group of its own: Ctrl-C is for the script, which then ends its children in their order.
    detached: true,
    stdio: [stdin ?? 'ignore', inView ? 'inherit' : 'pipe', inView ? 'inherit' : 'pipe', 'pipe'],
    env: env ?? process.env,
  }
  const child = spawn('/bin/sh', ['-c', watched, command, command, ...args], options)
  child.once('exit', () => child.stdio[3]?.destroy())

  let said = ''
  for (const stream of [child.stdout, child.stderr]) {
    stream?.setEncoding('utf8').on('data', (text: string) => {
      said = (said + text).slice(-mostKept)
      hear?.(text)
    })
  }
  let isGone = false
  const gone = new Promise<number | null>((resolve) => {
    const go = (code: number | null) => {
      isGone = true
      resolve(code)
    }
    child.once('close', go)
    child.once('error', (error) => {
      said += error.message
      go(null)
    })
  })
  const isRunning = () => !isGone
  const each: Child = {
    pid: child.pid ?? 0,
    process: child,
    gone,
    isRunning,
    lastWords: () => said.trim(),
    async end() {
      if (!isRunning()) return
      signalGroup(each.pid, 'SIGTERM')
      // One that was stopped hears nothing else.
      signalGroup(each.pid, 'SIGCONT')
      const tooLong = setTimeout(() => signalGroup(each.pid, 'SIGKILL'), patienceMs())
      await gone
      clearTimeout(tooLong)
    },
  }
  running.add(each)
  void gone.then(() => running.delete(each))
  return each
}

function signalGroup(pid: number, signal: NodeJS.Signals): void {
  try {
    process.kill(-pid, signal)
  } catch {
    // It went meanwhile.
  }
}

/** Runs a program to its end. @returns whether it was content, and the end of what it said */
export async function runChild(options: ChildOptions): Promise<{ ok: boolean; lastWords: string }> {
  const child = startChild(options)
  const code = await child.gone
  return { ok: code === 0, lastWords: child.lastWords() }
}

/** Ends all children, the last one first; none is begun after that. */
export async function endChildren(): Promise<void> {
  isClosing = true
  for (const child of [...running].reverse()) await child.end()
}

/**
 * Has whatever signal would end the script end its children first; a second one ends them by force.
 *
 * @param leave ends the children and then the script
 */
export function onSignals(leave: () => Promise<void>): void {
  let isLeaving = false
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      if (isLeaving) for (const child of [...running].reverse()) signalGroup(child.pid, 'SIGKILL')
      else void leave()
      isLeaving = true
    })
  }
}
