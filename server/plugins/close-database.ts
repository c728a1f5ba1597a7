import { closeDatabase } from '../http/database'

export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('close', closeDatabase)
})
