import { faultLines } from '#core/trip'
import { calc, calcUsage } from './calc'
import { candidates } from './candidates'
import { compare } from './compare'
import { demo } from './demo'
import { fit, fits } from './fit'
import { frontier } from './frontier'
import { gaps } from './gaps'
import { gpx } from './gpx'
import { jobs } from './jobs'
import { kit } from './kit'
import { ledger } from './ledger'
import { practice } from './practice'
import { promise } from './promise'
import { road } from './road'
import { schema } from './schema'
import { shed } from './shed'
import { simulate } from './simulate'
import { solve } from './solve'
import { pack } from './pack'
import { papers } from './papers'
import { ready } from './ready'
import { split } from './split'
import { stances } from './stances'
import { stress } from './stress'
import { flips } from './flips'
import { start } from './start'
import { learn } from './learn'
import { log } from './log'
import { rehearse } from './rehearse'
import { triage } from './triage'
import { UsageError } from './usage'

/** A command takes its arguments and answers with what is to be printed as JSON, or with plain text. */
type Command = (args: string[]) => unknown

const commands: Record<string, { run: Command; usage: string }> = {
  schema: { run: schema, usage: 'schema' },
  gpx: { run: gpx, usage: 'gpx FILE' },
  road: { run: road, usage: 'road TRIP [--text]' },
  gaps: { run: gaps, usage: 'gaps TRIP [--text]' },
  ledger: { run: ledger, usage: 'ledger TRIP' },
  solve: { run: solve, usage: 'solve LEDGER [--proof] [--exact]' },
  promise: { run: promise, usage: 'promise LEDGER --kit FILE' },
  simulate: { run: simulate, usage: 'simulate LEDGER|TRIP [--kit FILE] [--trips 20000] [--seed 1]' },
  compare: {
    run: compare,
    usage: 'compare TRIP [--kit FILE …] [--plan TRIP …] [--trips 20000] [--seed 1] [--text]',
  },
  kit: { run: kit, usage: 'kit TRIP' },
  frontier: { run: frontier, usage: 'frontier TRIP [--steps 20] [--text]' },
  practice: { run: practice, usage: 'practice TRIP [--text]' },
  split: { run: split, usage: 'split TRIP [--text]' },
  pack: { run: pack, usage: 'pack TRIP [--text]' },
  ready: { run: ready, usage: 'ready TRIP [--on 2026-05-30] [--evening 120] [--ics FILE] [--text]' },
  rehearse: { run: rehearse, usage: 'rehearse TRIP [--seed 1] [--text]' },
  learn: { run: learn, usage: 'learn TRIP … [--text]' },
  log: { run: log, usage: 'log TRIP [--add ENTRIES.json …] [--text]' },
  triage: {
    run: triage,
    usage:
      'triage TRIP --km 312 --what chain-broken|--symptom no-air [--bike ID] [--wheel front|rear] [--at 2026-06-14T15:40] [--log ENTRIES.json] [--away RIDER=2 …] [--text]',
  },
  papers: {
    run: papers,
    usage:
      'papers TRIP --html FILE [--paper a4|letter] [--sheets kit,tin,road,exits,mend] [--address URL] [--imperial]',
  },
  jobs: { run: jobs, usage: 'jobs TRIP [--text]' },
  stances: { run: stances, usage: 'stances TRIP [--text]' },
  stress: { run: stress, usage: 'stress TRIP [--kit FILE] [--text]' },
  flips: { run: flips, usage: 'flips TRIP --thing ID [--text]' },
  candidates: { run: candidates, usage: 'candidates TRIP --tools A,B+C [--text]' },
  start: { run: start, usage: 'start TRIP [--shed FILE] [--text]' },
  shed: { run: shed, usage: 'shed --csv FILE [--on 2026-05-30] [--text]' },
  fits: { run: fits, usage: 'fits TRIP [--text]' },
  fit: {
    run: fit,
    usage:
      'fit --fastener hex8 --torque 48 --head hex8 --lever-mm 65 [--recess-mm 0] [--reach-mm 25] [--body-mm 8] [--room-mm 100] [--swing-deg 360] [--gap-mm 6] [--thick-mm 6] [--open-end-only] [--spins] [--hand-n 400]',
  },
  calc: { run: calc, usage: calcUsage },
  demo: { run: demo, usage: 'demo [--gpx]' },
}

function helpText(): string {
  const lines = Object.values(commands).map(({ usage }) => `  rag-tin ${usage}`)
  return `usage:\n${lines.join('\n')}\nFILE, TRIP and LEDGER may be "-" for standard input.`
}

/** What a command says and how it ends: 0 when it did its work, 2 when it was asked wrongly. */
export interface Answer {
  readonly status: 0 | 2
  readonly stdout: string
  readonly stderr: string
}

const refused = (lines: string): Answer => ({ status: 2, stdout: '', stderr: `${lines}\n` })

/** Runs the command that a command line names. */
export async function answerTo([name, ...args]: string[]): Promise<Answer> {
  const command = name === undefined ? undefined : commands[name]
  if (!command) return refused(`${name ? `“${name}” is not a command\n` : ''}${helpText()}`)
  try {
    const answer = await command.run(args)
    return { status: 0, stdout: typeof answer === 'string' ? answer : `${JSON.stringify(answer)}\n`, stderr: '' }
  } catch (error) {
    const lines = error instanceof UsageError ? [error.message, `usage: rag-tin ${command.usage}`] : faultLines(error)
    if (!lines) throw error
    return refused(lines.join('\n'))
  }
}
