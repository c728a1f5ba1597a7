import { resolve } from 'node:path'
import roll from 'pino-roll'

/** A log takes so much room at most: so many files of so many bytes, beside the one that is written. */
const files = { size: '4m', count: 4 } as const

export interface Log {
  readonly write: (words: string) => void
  readonly close: () => void
}

/** Opens a log of its own for what a server says: `name.1.log`, `name.2.log` and so on, of which the oldest go. */
export async function openLog(folder: string, name: string): Promise<Log> {
  const stream = await roll({
    file: resolve(folder, name),
    extension: '.log',
    size: files.size,
    mkdir: true,
    mode: 0o600,
    limit: { count: files.count, removeOtherLogFiles: true },
  })
  // A disk that is full ends no server.
  stream.on('error', () => undefined)
  return { write: (words) => void stream.write(words), close: () => stream.end() }
}
