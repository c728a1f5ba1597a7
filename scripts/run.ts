import { endChildren, onSignals } from './children'
import { ScriptError } from './script-error'

/**
 * Runs a script's work. However it ends, no child of it is left running, and what ends it is said in a sentence.
 *
 * @param work ends when the script's work is done; a script that serves waits for `until`
 * @returns never: the process ends
 */
export async function run(work: (until: Promise<void>) => Promise<number>): Promise<never> {
  let leave: () => void = () => undefined
  const until = new Promise<void>((resolve) => (leave = resolve))
  const signals = { came: false }
  onSignals(async () => {
    signals.came = true
    leave()
    await endChildren()
  })
  let code: number
  try {
    code = await work(until)
  } catch (error) {
    // What fails because it is being ended is nobody's concern.
    if (!signals.came) console.error(error instanceof ScriptError ? error.message : error)
    code = signals.came ? 130 : 1
  }
  await endChildren()
  process.exit(code)
}
