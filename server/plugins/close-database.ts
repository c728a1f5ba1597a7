import { defineNitroPlugin } from 'nitropack/runtime'
import { closeDatabase } from '../http/database'
import { closePool } from '../threads/pool'

export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('close', async () => {
    await closePool()
    await closeDatabase()
  })
})
