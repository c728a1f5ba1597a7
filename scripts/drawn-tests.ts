import { createHash } from 'node:crypto'
import { execFileSync } from 'node:child_process'

/** Of the tests of the interface one in so many is tried by ./test: all of them take half an hour. */
const oneIn = 12

/**
 * Some of many tests: those that are tried always, and one in twelve of the others. Which ones depends on the seed and on their
 * names alone: a test keeps its place when others come or go.
 *
 * @param tests lines as `playwright test --list` writes them
 * @param always those of them that are tried whatever is drawn
 */
export function drawnTests(tests: readonly string[], always: readonly string[], seed: string): string[] {
  return tests.filter((test) => always.includes(test) || lotOf(`${seed} ${nameOf(test)}`) === 0)
}

/** The name without the line it stands in. */
const nameOf = (test: string) => test.replace(/:\d+:\d+/, '')

const lotOf = (text: string) => createHash('sha256').update(text).digest().readUInt32BE() % oneIn

/** The lines of what `playwright test --list` says that name a test. */
export const testsListed = (said: string): string[] => said.split('\n').filter((line) => line.includes(' › '))

/** What is drawn by where nobody says otherwise: the commit, so that one after another tries all. */
export function seedOfCommit(): string {
  try {
    return execFileSync('git', ['rev-parse', '--short', 'HEAD'], { encoding: 'utf8', stdio: 'pipe' }).trim()
  } catch {
    // A folder that was copied without its history.
    return 'no commit'
  }
}
