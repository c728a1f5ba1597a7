import { createServer, request, type IncomingMessage, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'

/** What comes through to a device. */
export type Through = 'everything' | 'the worker alone' | 'nothing'

/** The server as it is while one version of the app follows another. */
export interface Versions {
  readonly address: string
  /** From now on this version is sent: its page says so, and its worker is another than that of any other version. */
  send(version: string): void
  /** What arrives from now on: the road goes on past a mast that answers with the worker’s own file and nothing else. */
  let(through: Through): void
  close(): Promise<void>
}

/** Stands before the server and sends its pages and its worker as those of another version. */
export async function versionsOf(behind: string): Promise<Versions> {
  const to = new URL(behind)
  let version = 'one'
  let through: Through = 'everything'

  function answer(asked: IncomingMessage, answered: ServerResponse): void {
    const path = asked.url ?? '/'
    if (through === 'nothing' || (through === 'the worker alone' && path !== '/sw.js')) {
      answered.destroy()
      return
    }
    // Whatever is asked for anew is sent anew: the server behind knows of one version only.
    const { 'if-none-match': _none, 'if-modified-since': _since, ...asking } = asked.headers
    const headers = { ...asking, 'accept-encoding': 'identity' }
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
        const { 'content-length': _length, etag: _etag, 'last-modified': _modified, ...rest } = got.headers
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
    let: (next) => (through = next),
    close: () => {
      server.closeAllConnections()
      return new Promise((closed) => server.close(() => closed()))
    },
  }
}
