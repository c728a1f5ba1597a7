import { useRuntimeConfig } from 'nitropack/runtime'
import { openDatabase, type Database } from '../db/connection'

let opened: ReturnType<typeof openDatabase> | undefined

/** The server's one pool of database connections. */
export function database(): Database {
  opened ??= openDatabase(useRuntimeConfig().databaseUrl)
  return opened.db
}

export async function closeDatabase(): Promise<void> {
  await opened?.close()
  opened = undefined
}
