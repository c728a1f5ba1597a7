import { nth, Fault } from '#core/validation'
import { largestGpxBytes } from '#core/road'
import { getLocalTimeZone, today } from '@internationalized/date'
import { readFileSync, statSync, writeFileSync } from 'node:fs'
import { parseArgs, type ParseArgsConfig } from 'node:util'
import { z } from 'zod'

/** The command line itself was wrong; the usage is shown with it. */
export class UsageError extends Error {}

/** Parses a command's arguments; unknown options and missing values are usage errors. */
export function parsedArgs<T extends ParseArgsConfig['options']>(args: string[], options: T) {
  try {
    return parseArgs({ args: withNumbersBelowZero(args), options, allowPositionals: true })
  } catch (error) {
    throw new UsageError(error instanceof Error ? error.message : String(error))
  }
}

/** A number below zero after an option is its value, not another option. */
function withNumbersBelowZero(args: string[]): string[] {
  return args.reduce<string[]>((joined, arg) => {
    const before = joined.at(-1)
    if (/^-\d/.test(arg) && before?.startsWith('--') && !before.includes('='))
      return [...joined.slice(0, -1), `${before}=${arg}`]
    return [...joined, arg]
  }, [])
}

/** The single file a command works on. */
export function onePath(positionals: string[]): string {
  if (positionals.length !== 1) throw new UsageError(`one file is needed, not ${positionals.length}`)
  return nth(positionals, 0)
}

/** The same, as text. */
export function fileText(positionals: string[]): string {
  const path = onePath(positionals)
  try {
    if (path === '-') return readFileSync(0, 'utf8')
    const { size } = statSync(path)
    if (size > largestGpxBytes) {
      throw new Fault(
        path,
        `${Math.round(size / 1024 / 1024)} MB`,
        'a file of 48 MB at most; thin the track or cut it in two',
      )
    }
    return readFileSync(path, 'utf8')
  } catch (error) {
    if (error instanceof Fault) throw error
    const why = isMissing(error) ? 'no such file' : String(error)
    throw new Fault(path, why, 'a file that can be read')
  }
}

/** Writes what was asked for into a file. */
export function writeText(path: string, text: string): void {
  try {
    writeFileSync(path, text)
  } catch (error) {
    throw new Fault(path, isMissing(error) ? 'no such folder' : String(error), 'a file that can be written')
  }
}

const isMissing = (error: unknown): boolean => error instanceof Error && 'code' in error && error.code === 'ENOENT'

/** A day given as "--on"; today where none is. */
export function dayOption(text: string | undefined): string {
  const day = text ?? today(getLocalTimeZone()).toString()
  if (!z.iso.date().safeParse(day).success) throw new Fault('--on', `“${day}”`, 'a day such as 2026-05-30')
  return day
}

/** A number given as an option, within limits. */
export function numberOption(text: string | undefined, name: string, least: number, most: number): number {
  if (text === undefined) throw new UsageError(`--${name} is needed`)
  const value = text.trim() === '' ? NaN : Number(text)
  if (!Number.isFinite(value) || value < least || value > most) {
    throw new Fault(`--${name}`, `“${text}”`, `a number from ${least} to ${most}`)
  }
  return value
}
