import { defineNitroPlugin } from 'nitropack/runtime'
import { getResponseStatus } from 'h3'
import type { H3Event } from 'h3'
import { failureOf } from '../log/failure'
import { log } from '../log/log'

/** Who waits for so long is worth a line. */
const slowMs = 2000

/** What was asked for, without what it was asked about. */
const asked = (event: H3Event) => ({
  method: event.method,
  route: event.context.matchedRoute?.path ?? '(none)',
})

/** Says what fails and what is slow, and has everything else that would be said go through the same log. */
export default defineNitroPlugin((nitro) => {
  const told = new WeakSet<object>()
  // The server's own ways of telling of an error, and those of packages, show it whole.
  console.error = (...said: unknown[]) => {
    const errors = said.filter((each) => each instanceof Error && !told.has(each))
    if (errors.length > 0) log.error({ failures: errors.map((error) => failureOf(error)) })
  }

  nitro.hooks.hook('error', (error, { event }) => {
    const { statusCode = 500, unhandled = false } = error as { statusCode?: number; unhandled?: boolean }
    if (statusCode < 500 && !unhandled) return
    told.add(error)
    const what = { ...(event ? asked(event) : {}), status: statusCode }
    if (unhandled || statusCode === 500) log.error({ ...what, failure: failureOf(error) })
    else log.warn(what)
  })

  nitro.hooks.hook('request', (event) => {
    event.context.begun = performance.now()
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const ms = Math.round(performance.now() - Number(event.context.begun))
    if (ms > slowMs) log.warn({ ...asked(event), status: getResponseStatus(event), ms })
  })
  nitro.hooks.hook('close', () => log.info('going'))
  log.info('started')
})
