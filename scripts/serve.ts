import { buildIfStale } from './build'
import { ensurePrograms, mariadb } from './debian'
import { servingPort } from './ports'
import { run } from './run'
import { lockFolder, serve } from './service'
import { Stop } from './stop'

/** What is served in earnest has its data apart from the demo's. */
export const servedFolder = '.data/serve'

await run(async (until) => {
  const [unknown] = process.argv.slice(2)
  if (unknown) throw new Stop(`“${unknown}” is not understood; usage: ./serve, with settings as docs/hosting.md says`)
  const note = await lockFolder(servedFolder)
  // Whatever stands before it has to know where it is.
  const port = await servingPort(process.env.PORT ?? '3000')
  ensurePrograms(...mariadb)
  await buildIfStale()
  return serve({ folder: servedFolder, port, host: process.env.HOST, settings: {} }, note, until)
})
