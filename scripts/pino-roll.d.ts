declare module 'pino-roll' {
  import type { SonicBoom } from 'sonic-boom'

  /** A stream into numbered files, the oldest of which are removed. */
  export default function roll(options: {
    readonly file: string
    readonly extension: string
    readonly size: string
    readonly mkdir: boolean
    readonly mode: number
    readonly limit: { readonly count: number; readonly removeOtherLogFiles: boolean }
  }): Promise<SonicBoom>
}
