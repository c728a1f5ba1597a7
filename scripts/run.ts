import { endChildren, onSignals } from './children'
import { Stop } from './stop'

/**
 * Runs a script's work. However it ends, no child of it is left running, and what ends it is said in a sentence.
 *
 * @param work ends when the script's work is done; a script that serves waits for `until`
 * @returns never: the process ends
 */
export async function run(work: (until: Promise<void>) => Promise<number>): Promise<never> {
  let leave: () => void = () => undefined
  const until = new Promise<void>((resolve) => (leave = resolve))
  let isInterrupted = false
  onSignals(async () => {
    isInterrupted = true
    leave()
    await endChildren()
  })
  let code: number
  try {
    code = await work(until)
  } catch (error) {
    // What fails because it is being ended is nobody's concern.
    if (!isInterrupted) console.error(error instanceof Stop ? error.message : error)
    code = isInterrupted ? 130 : 1
  }
  await endChildren()
  process.exit(code)
}
