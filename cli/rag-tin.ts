import { calc, calcUsage } from './calc'
import { demo } from './demo'
import { fit, fits } from './fit'
import { gaps } from './gaps'
import { gpx } from './gpx'
import { kit } from './kit'
import { ledger } from './ledger'
import { road } from './road'
import { schema } from './schema'
import { solve } from './solve'
import { faultLines } from '../core/trip'
import { UsageError } from './usage'

/** A command takes its words and answers with what is to be printed as JSON, or with plain text. */
type Command = (words: string[]) => unknown

const commands: Record<string, { run: Command; usage: string }> = {
  schema: { run: schema, usage: 'schema' },
  gpx: { run: gpx, usage: 'gpx FILE' },
  road: { run: road, usage: 'road TRIP [--text]' },
  gaps: { run: gaps, usage: 'gaps TRIP [--text]' },
  ledger: { run: ledger, usage: 'ledger TRIP' },
  solve: { run: solve, usage: 'solve LEDGER [--proof] [--brute]' },
  kit: { run: kit, usage: 'kit TRIP' },
  fits: { run: fits, usage: 'fits TRIP [--text]' },
  fit: {
    run: fit,
    usage:
      'fit --fastener hex8 --torque 48 --head hex8 --lever-mm 65 [--recess-mm 0] [--reach-mm 25] [--body-mm 8] [--room-mm 100] [--swing-deg 360] [--gap-mm 6] [--thick-mm 6] [--open-end-only] [--spins]',
  },
  calc: { run: calc, usage: calcUsage },
  demo: { run: demo, usage: 'demo [--gpx]' },
}

function helpText(): string {
  const lines = Object.values(commands).map(({ usage }) => `  rag-tin ${usage}`)
  return `usage:\n${lines.join('\n')}\nFILE, TRIP and LEDGER may be "-" for standard input.`
}

async function main([name, ...words]: string[]): Promise<number> {
  const command = name === undefined ? undefined : commands[name]
  if (!command) {
    process.stderr.write(`${name ? `“${name}” is not a command\n` : ''}${helpText()}\n`)
    return 2
  }
  try {
    const answer = await command.run(words)
    process.stdout.write(typeof answer === 'string' ? answer : `${JSON.stringify(answer)}\n`)
    return 0
  } catch (error) {
    const lines = error instanceof UsageError ? [error.message, `usage: rag-tin ${command.usage}`] : faultLines(error)
    if (!lines) throw error
    process.stderr.write(`${lines.join('\n')}\n`)
    return 2
  }
}

process.exitCode = await main(process.argv.slice(2))
