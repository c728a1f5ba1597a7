import { sessionHooks } from '#auth/session'
import { defineNitroPlugin } from 'nitropack/runtime'
import { createError } from 'h3'
import { signedIn } from '../http/session'

/** The module's own way of asking who is signed in believes the cookie alone; a session that was ended is nobody's. */
export default defineNitroPlugin(() => {
  sessionHooks.hook('fetch', async (_, event) => {
    if (!(await signedIn(event))) throw createError({ statusCode: 401, statusMessage: 'Unauthorized' })
  })
})
