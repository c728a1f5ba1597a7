import { parseArgs, type ParseArgsConfig } from 'node:util'
import { demoFolder, servedFolder } from './service'
import { ScriptError } from './script-error'

/** What a backup or a restore was asked for: the file, if one was named, and whose data it is. */
export interface BackupArguments {
  readonly file: string | undefined
  readonly folder: string
  readonly over: boolean
}

/** Reads the words of a command line. @throws ScriptError with the usage where they are not understood */
export function readBackupArguments(args: readonly string[], usage: string, takesOver: boolean): BackupArguments {
  const flag = { type: 'boolean', default: false } as const
  const options = { demo: flag, over: flag } satisfies ParseArgsConfig['options']
  try {
    const { values, positionals } = parseArgs({ args: [...args], options, allowPositionals: true })
    if (positionals.length > 1 || (values.over && !takesOver)) throw new Error('too many words')
    return { file: positionals[0], folder: values.demo ? demoFolder : servedFolder, over: values.over }
  } catch (error) {
    throw new ScriptError(`${error instanceof Error ? error.message : String(error)}; usage: ${usage}`)
  }
}
