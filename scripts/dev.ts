import { resolve } from 'node:path'
import { startChild } from './children'
import { ensurePrograms, mariadb } from './debian'
import { demoSettings, seedDemo } from './demo-data'
import { servingPort } from './ports'
import { run } from './run'
import { secretIn } from './secret'
import { databaseFolder, lockFolder } from './service'
import { startMariadb } from './mariadb'
import { upgradeDatabase } from './upgrade'

/** What is tried while one writes has its data apart from the demo's. */
const folder = '.data/dev'

// Serves the demo from its sources: what is changed is seen at once, and the server starts anew by itself.
await run(async (until) => {
  const note = await lockFolder(folder)
  const port = await servingPort(process.env.PORT)
  ensurePrograms(...mariadb)
  const database = await startMariadb(databaseFolder(folder))
  await upgradeDatabase(database.url, databaseFolder(folder))
  await seedDemo(database.url)
  const nuxt = startChild({
    command: resolve('node_modules/.bin/nuxt'),
    args: ['dev', '--host', '127.0.0.1', '--port', String(port)],
    inView: true,
    env: {
      ...process.env,
      NUXT_DATABASE_URL: database.url,
      NUXT_SESSION_PASSWORD: secretIn(`${folder}/session-key`),
      ...demoSettings,
    },
  })
  note({ address: `http://127.0.0.1:${port}`, databaseUrl: database.url })
  const code = await Promise.race([nuxt.gone, until.then(() => 0)])
  await nuxt.end()
  await database.stop()
  return code ?? 0
})
