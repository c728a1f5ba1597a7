import { buildIfStale } from './build'
import { clearFolder } from './clear-folder'
import { ensurePrograms, mariadb } from './debian'
import { demoSettings, seedDemo } from './demo-data'
import { servingPort } from './ports'
import { run } from './run'
import { databaseFolder, demoFolder as folder, lockFolder, serve } from './service'
import { ScriptError } from './script-error'

await run(async (until) => {
  const args = process.argv.slice(2)
  const unknown = args.find((word) => word !== '--fresh')
  if (unknown) throw new ScriptError(`“${unknown}” is not understood; usage: ./demo [--fresh]`)
  const note = await lockFolder(folder)
  if (args.includes('--fresh')) clearFolder(databaseFolder(folder))

  const port = await servingPort(process.env.PORT)
  ensurePrograms(...mariadb)
  await buildIfStale()
  return serve({ folder, port, settings: demoSettings, prepare: seedDemo }, note, until)
})
