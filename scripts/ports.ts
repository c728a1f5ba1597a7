import { createServer } from 'node:net'
import { ScriptError } from './script-error'

/** Whether nobody listens on a port of this machine's loopback. */
export function isFree(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })
}

/** A port that the system says is free. */
export function anyFreePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => (address && typeof address === 'object' ? resolve(address.port) : reject(new Error('no port'))))
    })
  })
}

/** The port to serve on: the one asked for, or the first free one from 3000 on. */
export async function servingPort(asked: string | undefined): Promise<number> {
  if (asked !== undefined) {
    const port = Number(asked)
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new ScriptError(`PORT=${asked} is no port; give a number from 1 to 65535.`)
    if (!(await isFree(port)))
      throw new ScriptError(`Port ${port} is in use; give another with PORT=…, or leave PORT out.`)
    return port
  }
  for (let port = 3000; port < 3020; port++) if (await isFree(port)) return port
  return anyFreePort()
}
