import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { afterEach, describe, expect, it } from 'vitest'
import { endChildren, startChild } from '../../scripts/children'
import { isAlive } from '../../scripts/lock'

/** A program that hears when it is asked to go, and stays. */
const stubborn = 'trap "" TERM; while :; do sleep 0.1; done'
/** A program that has begun another. */
const withChild = 'sleep 1000 & echo $!; wait'

const begun: number[] = []
afterEach(() => {
  for (const pid of begun.splice(0)) if (isAlive(pid)) process.kill(pid, 'SIGKILL')
})

/** A script that begins a program and waits; what it says first is a process of that program. */
function scriptWith(program: string) {
  const code = `
    import { startChild } from '${process.cwd()}/scripts/children.ts'
    const child = startChild({ command: '/bin/sh', args: ['-c', ${JSON.stringify(program)}], hear: console.log })
    console.log(child.pid)`
  const args = ['--import', 'tsx', '--input-type=module', '-e', code]
  const script = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  let said = ''
  script.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()))
  const pids = () => [...said.matchAll(/\d+/g)].map(([pid]) => Number(pid))
  return { script, pids }
}

/** In ten seconds what does not go is made to: whoever goes by being asked is gone before, on a slow machine too. */
const unforcedMs = 8000

const gone = (pids: readonly number[], timeout: number) =>
  expect.poll(() => pids.filter(isAlive), { timeout, interval: 100 }).toEqual([])

describe('a script that is killed', () => {
  it('takes along what its programs have begun', async () => {
    const { script, pids } = scriptWith(withChild)
    await expect.poll(pids, { timeout: 10_000 }).toHaveLength(2)
    begun.push(...pids())
    expect(pids().filter(isAlive)).toHaveLength(2)
    script.kill('SIGKILL')
    await gone(pids(), unforcedMs)
  })

  it('takes along a program that does not hear that it is asked to go', async () => {
    const { script, pids } = scriptWith(stubborn)
    await expect.poll(pids, { timeout: 10_000 }).toHaveLength(1)
    begun.push(...pids())
    script.kill('SIGKILL')
    await once(script, 'exit')
    await gone(pids(), 100_000)
  }, 120_000)

  it('takes along a program that was stopped', async () => {
    const { script, pids } = scriptWith('sleep 1000; echo')
    await expect.poll(pids, { timeout: 10_000 }).toHaveLength(1)
    begun.push(...pids())
    for (const pid of pids()) process.kill(pid, 'SIGSTOP')
    script.kill('SIGKILL')
    await gone(pids(), unforcedMs)
  })
})

describe('a program', () => {
  it('is waited for, with its exit code; none where a signal ended it', async () => {
    const start = (program: string) => startChild({ command: '/bin/sh', args: ['-c', program] })
    const [seven, killed] = [start('echo some words; exit 7'), start('kill -KILL $$')]
    expect([await seven.gone, await killed.gone]).toEqual([7, null])
    expect(seven.lastWords()).toBe('some words')
    expect(await startChild({ command: '/nowhere/to/be/found', args: [] }).gone).toBe(127)
  })

  it('goes by force where it does not go in good order, and none is begun once all are ended', async () => {
    const child = startChild({ command: '/bin/sh', args: ['-c', stubborn], patienceMs: () => 300 })
    begun.push(child.pid)
    await endChildren()
    expect(isAlive(child.pid)).toBe(false)
    expect(() => startChild({ command: '/bin/true', args: [] })).toThrow('nothing is begun any more')
  })
})
