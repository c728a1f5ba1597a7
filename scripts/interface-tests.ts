import { anyFreePort } from './ports'
import { clearFolder } from './clear-folder'
import { runChild } from './children'
import { demoSettings, seedDemo } from './demo-data'
import { databaseFolder, startService } from './service'
import type { LockNote } from './lock'

/**
 * Tries the real interface against a server of its own that starts from the demo.
 *
 * @param folder where that keeps its data, locked before; what was there is thrown away
 * @param note writes the address down for others
 * @param only names of files; none for all
 * @returns whether Playwright was content
 */
export async function tryInterface(
  folder: string,
  note: (note: Partial<LockNote>) => void,
  only: readonly string[] = [],
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
      command: 'node_modules/.bin/playwright',
      args: ['test', ...only],
      env: { ...process.env, ...environment, RAG_TIN_ADDRESS: service.address },
      inView: true,
    })
    return ok
  } finally {
    await service.stop()
  }
}
