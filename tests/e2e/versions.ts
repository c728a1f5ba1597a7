import { createServer, request, type IncomingMessage, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'

/** The server as it is while one version of the app follows another. */
export interface Versions {
  readonly address: string
  /** From now on this version is sent: its page says so, and its worker is another than that of any other version. */
  send(version: string): void
  /** Whether only the worker’s own file arrives, and nothing of what it asks for. */
  cutShort(isCut: boolean): void
  close(): Promise<void>
}

/** Stands before the server and sends its pages and its worker as those of another version. */
export async function versionsOf(behind: string): Promise<Versions> {
  const to = new URL(behind)
  let version = 'one'
  let isCut = false

  function answer(asked: IncomingMessage, answered: ServerResponse): void {
    const path = asked.url ?? '/'
    if (isCut && path !== '/sw.js') {
      answered.destroy()
      return
    }
    const headers = { ...asked.headers, host: to.host, 'accept-encoding': 'identity' }
    const onward = request({ host: to.hostname, port: to.port, path, method: asked.method, headers }, (got) => {
      const type = String(got.headers['content-type'])
      const isOurs = path === '/sw.js' || type.startsWith('text/html')
      if (!isOurs) {
        answered.writeHead(got.statusCode ?? 502, got.headers)
        got.pipe(answered)
        return
      }
      const pieces: Buffer[] = []
      got.on('data', (piece: Buffer) => pieces.push(piece))
      got.on('end', () => {
        const text = Buffer.concat(pieces).toString('utf8')
        const sent =
          path === '/sw.js'
            ? text.replace(/(url:"\/\?on-device",revision:")[^"]*"/, `$1${version}"`)
            : text.replace('<head>', `<head><meta name="version-sent" content="${version}">`)
        const { 'content-length': _, ...rest } = got.headers
        answered.writeHead(got.statusCode ?? 502, rest)
        answered.end(sent)
      })
    })
    onward.on('error', () => answered.destroy())
    asked.pipe(onward)
  }

  const server = createServer(answer)
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening))
  const { port } = server.address() as AddressInfo
  return {
    address: `http://127.0.0.1:${port}`,
    send: (next) => (version = next),
    cutShort: (cut) => (isCut = cut),
    close: () => {
      server.closeAllConnections()
      return new Promise((closed) => server.close(() => closed()))
    },
  }
}
