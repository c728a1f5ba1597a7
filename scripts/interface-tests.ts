import { writeFileSync } from 'node:fs'
import { anyFreePort } from './ports'
import { clearFolder } from './clear-folder'
import { runChild } from './children'
import { demoSettings, seedDemo } from './demo-data'
import { drawnTests, testsListed } from './drawn-tests'
import { databaseFolder, startService } from './service'
import type { LockNote } from './lock'

const playwright = 'node_modules/.bin/playwright'

/** Writes down which tests of the interface are drawn. @returns how many of how many */
export async function drawInterfaceTests(file: string, seed: string): Promise<{ drawn: number; all: number }> {
  const tests = await listTests()
  const drawn = drawnTests(tests, await listTests('--grep=@always'), seed)
  writeFileSync(file, drawn.join('\n'))
  return { drawn: drawn.length, all: tests.length }
}

async function listTests(...args: readonly string[]): Promise<string[]> {
  let said = ''
  const hear = (text: string) => void (said += text)
  await runChild({ command: playwright, args: ['test', '--list', ...args], env: process.env, hear })
  return testsListed(said)
}

/**
 * Tries the real interface against a server of its own that starts from the demo.
 *
 * @param folder where that keeps its data, locked before; what was there is thrown away
 * @param note writes the address down for others
 * @param args says which, as Playwright is told; none for all
 * @returns whether Playwright was content
 */
export async function tryInterface(
  folder: string,
  note: (note: Partial<LockNote>) => void,
  args: readonly string[] = [],
  environment: Record<string, string> = {},
): Promise<boolean> {
  clearFolder(databaseFolder(folder))
  const service = await startService({
    folder,
    port: await anyFreePort(),
    settings: demoSettings,
    prepare: seedDemo,
    tell: console.error,
    onEnd: console.error,
  })
  note({ address: service.address })
  try {
    const { ok } = await runChild({
      command: playwright,
      args: ['test', ...args],
      env: { ...process.env, ...environment, RAG_TIN_ADDRESS: service.address },
      inView: true,
    })
    return ok
  } finally {
    await service.stop()
  }
}
